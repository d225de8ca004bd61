import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { JSON_BROUGHT, answered, api, type Schemas } from "./client";

export type Doorway = Schemas["Doorway"];
export type Device = Schemas["Device"];

/** How soon the movements looks again whether a device came in. */
const LOOK_MS = 2_000;

/** Whether the program answers on the local network, and who was let in; this computer's alone. */
export const useDoorway = (host: boolean) =>
  useQuery({
    queryKey: ["devices"],
    queryFn: () => answered(api.GET("/api/devices")),
    enabled: host,
    refetchInterval: LOOK_MS,
  });

/** Who asks: the movements, or a device. */
export const useHere = () =>
  useQuery({ queryKey: ["here"], queryFn: () => answered(api.GET("/api/devices/here")) });

/** A code for one device. */
export const useMakeCode = () =>
  useMutation({
    mutationFn: () => answered(api.POST("/api/devices/code", { headers: JSON_BROUGHT })),
  });

/** Lets this device in. */
export function useLetIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: Schemas["Knock"]) => answered(api.POST("/api/devices/let-in", { body })),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** Sends a device away. */
export function useSendAway() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: number) =>
      answered(api.DELETE("/api/devices/{id}", { params: { path: { id } } })),
    onSettled: () => client.invalidateQueries({ queryKey: ["devices"] }),
  });
}

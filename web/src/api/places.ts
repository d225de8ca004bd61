import { useQuery } from "@tanstack/react-query";
import { answered, api, type Schemas } from "./client";
import { useChange, useOnce } from "./queries";

export type Place = Schemas["PutAway"]["place"];

/** Models that are set aside, or deleted within a month. */
export const usePutAway = () =>
  useQuery({
    queryKey: ["put-away"],
    queryFn: () => answered(api.GET("/api/aircraft/put-away")),
  });

/** Sets a model aside, deletes it, or brings it back. */
export const usePut = () =>
  useChange(({ id, place }: { id: number; place: Place }) =>
    answered(api.PUT("/api/aircraft/{id}/place", { params: { path: { id } }, body: { place } })),
  );

/** A second aircraft of the type. */
export const useCopyModel = (id: number) =>
  useOnce((name: string, header) =>
    answered(
      api.POST("/api/aircraft/{id}/copy", { params: { path: { id }, header }, body: { name } }),
    ),
  );

import type { Setup } from "@/domain/contract";
import {
  keepPreviousData,
  queryOptions,
  useInfiniteQuery,
  useIsMutating,
  useMutation,
  useQuery,
  useQueryClient,
  type QueryClient,
} from "@tanstack/react-query";
import { meanwhile } from "./meanwhile";
import { useRef, useState } from "react";
import { answered, api, ApiError, CONFLICT, requestKey, type Schemas } from "./client";

export type Standing = Schemas["Standing"];
export type Clearance = Schemas["Clearance"];
export type UnreadableModel = Schemas["UnreadableModel"];
export type HangarEntry = Schemas["HangarEntry"];
export type RevisionHeader = Schemas["RevisionHeader"];
export type { Setup, Surface } from "@/domain/contract";
export type Channel = Schemas["Channel"];
export type Servo = Schemas["Servo"];
export type Flight = Schemas["Flight"];
export type FlightReport = Schemas["FlightReport"];
export type Plan = Schemas["AdjustmentPlan"];
export type PlannedRod = Schemas["PlannedRod"];
export type WorkStep = Schemas["WorkStep"];
export type OpenAdjustment = Schemas["OpenAdjustment"];
export type Field = Schemas["Field"];

const at = (id: number) => ({ params: { path: { id } } });
const of = (aircraftId: number) => ({ params: { path: { aircraftId } } });

interface Part<T> {
  items: T[];
  total: number;
  /** What of this part cannot be read, where that is asked. */
  unreadable?: UnreadableModel[];
}

const came = (parts: Part<unknown>[]) =>
  parts.flatMap((one) => [...one.items, ...(one.unreadable ?? [])]);

/** A list that may grow, asked for part by part; what has come so far, and how many there are. */
function useParts<T>(
  key: readonly unknown[],
  part: (page: number) => Promise<Part<T>>,
  again: (items: T[]) => number | false = () => false,
) {
  const query = useInfiniteQuery({
    queryKey: key,
    initialPageParam: 0,
    queryFn: ({ pageParam }) => part(pageParam),
    getNextPageParam: (last, all) => (came(all).length < last.total ? all.length : undefined),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) => again(state.data?.pages.flatMap((one) => one.items) ?? []),
  });
  return {
    items: query.data?.pages.flatMap((one) => one.items),
    unreadable: query.data?.pages.flatMap((one) => one.unreadable ?? []) ?? [],
    total: query.data?.pages[0]?.total ?? 0,
    error: query.error,
    isError: query.isError,
    more: query.hasNextPage ? () => void query.fetchNextPage() : undefined,
    coming: query.isFetchingNextPage,
    isFetching: query.isFetching,
  };
}

const MODELS_AT_ONCE = 12;
const AT_ONCE = 50;

const LOOK_AGAIN_MS = 700;

/** While the switches of some model are being checked it is asked again how far that is. */
const searching = (all: { grounding: Clearance }[]) =>
  all.some((one) => one.grounding.missing.some((each) => each.lack === "SEARCHING"))
    ? LOOK_AGAIN_MS
    : false;

/** Asks for the hangar anew. */
export function useTryAgain() {
  const client = useQueryClient();
  return () => void client.invalidateQueries({ queryKey: ["hangar"] });
}

export const useHangar = (named = "") =>
  useParts(
    ["hangar", "named", named],
    (page) =>
      answered(
        api.GET("/api/aircraft", { params: { query: { named, page, size: MODELS_AT_ONCE } } }),
      ),
    searching,
  );

const standing = (id: number) =>
  queryOptions({
    queryKey: ["hangar", id],
    queryFn: () => answered(api.GET("/api/aircraft/{id}", at(id))),
    refetchInterval: (query) => searching(query.state.data === undefined ? [] : [query.state.data]),
  });

/** Why a model flies though something is still to be seen on it; nothing takes that back. */
export const useFlyAllTheSame = (id: number) => {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (because: string) =>
      answered(
        because === ""
          ? api.DELETE("/api/aircraft/{id}/clearance", at(id))
          : api.PUT("/api/aircraft/{id}/clearance", { ...at(id), body: { because } }),
      ),
    onSuccess: () => client.invalidateQueries({ queryKey: ["hangar"] }),
  });
};

export const useStanding = (id: number) => useQuery(standing(id));

/** Where a model stands, if the address names one. */
export const useStandingIf = (id: string | undefined) =>
  useQuery({ ...standing(Number(id)), enabled: id !== undefined });

export const useKinds = () =>
  useQuery({
    queryKey: ["kinds"],
    queryFn: () => answered(api.GET("/api/kinds")),
    staleTime: Infinity,
  });

export const useFields = () =>
  useQuery({
    queryKey: ["fields"],
    queryFn: () => answered(api.GET("/api/fields")),
    staleTime: Infinity,
  });

/** Headers of the revisions, newest first. */
export const useRevisions = (id: number) =>
  useParts(["revisions", id], (page) =>
    answered(
      api.GET("/api/aircraft/{id}/revisions", {
        params: { path: { id }, query: { page, size: AT_ONCE } },
      }),
    ),
  );

/** One revision with its setup; a saved one never changes. */
export const revisionQuery = (id: number, number: number) =>
  queryOptions({
    queryKey: ["revision", id, number],
    staleTime: Infinity,
    queryFn: () =>
      answered(
        api.GET("/api/aircraft/{id}/revisions/{number}", { params: { path: { id, number } } }),
      ),
  });

export const useRevision = (id: number, number: number | undefined) =>
  useQuery({ ...revisionQuery(id, number ?? 0), enabled: number !== undefined });

/** The flights, newest first. */
export const useFlights = (aircraftId: number) =>
  useParts(["flights", aircraftId], (page) =>
    answered(
      api.GET("/api/aircraft/{aircraftId}/flights", {
        params: { path: { aircraftId }, query: { page, size: AT_ONCE } },
      }),
    ),
  );

export const useFlight = (aircraftId: number, flightId: number | undefined) =>
  useQuery({
    queryKey: ["flight", aircraftId, flightId],
    enabled: flightId !== undefined,
    queryFn: () =>
      answered(
        api.GET("/api/aircraft/{aircraftId}/flights/{flightId}", {
          params: { path: { aircraftId, flightId: flightId ?? 0 } },
        }),
      ),
  });

/** What clicks read as on a transmitter. */
export const useTrimsShown = ({ clicks, ...of }: Schemas["ShownAsked"]) =>
  useQuery({
    queryKey: ["trims shown", clicks, of],
    ...meanwhile(of),
    queryFn: () => answered(api.POST("/api/trims/shown", { body: { clicks, ...of } })),
  });

const TRIM_CLICKS = ["trim-clicks"];

/** Whether a trim that was typed is still being read: what is saved now would lack it. */
export const useTrimsBeingRead = () => useIsMutating({ mutationKey: TRIM_CLICKS }) > 0;

/** The whole clicks nearest to what a transmitter shows. */
export const useTrimClicks = () =>
  useMutation({
    mutationKey: TRIM_CLICKS,
    mutationFn: (body: Schemas["ReadAsked"]) => answered(api.POST("/api/trims/clicks", { body })),
  });

export const useSettling = (id: number) =>
  useQuery({
    queryKey: ["settling", id],
    queryFn: () => answered(api.GET("/api/aircraft/{id}/settling", at(id))),
  });

/** The clicks that stand in the transmitter, asked for anew whenever an entry begins. */
export const useStandingTrims = (id: number) =>
  useQuery({
    staleTime: 0,
    queryKey: ["standing-trims", id],
    queryFn: () => answered(api.GET("/api/aircraft/{id}/standing-trims", at(id))),
  });

/** Lets the simulated model fly: nothing is stored. */
export const useSimulatedFlight = (id: number) =>
  useMutation({
    mutationFn: (query: { cgMm: number; seed: number }) =>
      answered(
        api.GET("/api/aircraft/{aircraftId}/simulated-flight", {
          params: { path: { aircraftId: id }, query },
        }),
      ),
  });

export const useImportFlights = (id: number) =>
  useChange((file: File) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/flights.csv", {
        ...of(id),
        body: file as never,
        headers: { "Content-Type": "text/csv" },
        bodySerializer: (body: unknown) => body as File,
      }),
    ),
  );

export const openOrder = (id: number) => ["adjustment", id];

export const useOpenAdjustment = (id: number) =>
  useQuery({
    queryKey: openOrder(id),
    queryFn: async () =>
      (await answered(api.GET("/api/aircraft/{aircraftId}/adjustment", of(id)))) ?? null,
  });

/**
 * A change that, once acknowledged, makes everything on screen be asked for again: first where the
 * models stand, since the rest is asked for by revision, then all else without waiting.
 *
 * @param shows the query that the change itself answers: what is pressed next stands on that answer
 */
export function useChange<V, T>(
  change: (value: V) => Promise<T>,
  shows?: readonly unknown[],
  inTurn?: string,
) {
  const client = useQueryClient();
  return useMutation({
    // Changes of one thing, pressed one after the other, are sent one after the other.
    ...(inTurn === undefined ? {} : { scope: { id: inTurn } }),
    mutationFn: change,
    onSuccess: (answer) => acknowledged(client, shows, answer),
    // What was saved elsewhere meanwhile is shown, with the choice it leaves.
    onError: (error) =>
      error instanceof ApiError && error.status === CONFLICT
        ? client.invalidateQueries({ queryKey: ["hangar"] })
        : undefined,
  });
}

/** Puts the answer to a change on the page, and asks for all else anew. */
export async function acknowledged(
  client: QueryClient,
  shows: readonly unknown[] | undefined,
  answer: unknown,
): Promise<void> {
  if (shows !== undefined) {
    // What was asked before this change would bring back what stood before it.
    await client.cancelQueries({ queryKey: shows, exact: true });
    client.setQueryData(shows, answer);
  }
  await client.invalidateQueries({ queryKey: ["hangar"] });
  void client.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== "hangar" });
}

/**
 * Whether a form that begins with what these queries say may be opened: once none of them is being
 * asked again, so that it never begins with what was true before the last change; then for good.
 */
export function useOpened(...asked: { isFetching: boolean }[]) {
  const [opened, setOpened] = useState(false);
  if (!opened && !asked.some((one) => one.isFetching)) {
    setOpened(true);
  }
  return opened;
}

/**
 * The key of a request under way: the same until it has been answered, so that pressing the button
 * again, or trying again after a lost answer, does the work once.
 */
export function useOnce<V, T>(
  send: (value: V, header: { "Idempotency-Key": string }) => Promise<T>,
) {
  const once = useOnceKey<V>();
  return useChange(async (value: V) => {
    const answer = await send(value, { "Idempotency-Key": once.key(value) });
    once.answered();
    return answer;
  });
}

/** The key of a value that is being sent, the same until it has been answered. */
export function useOnceKey<V>() {
  const underWay = useRef<{ text: string; key: string }>(undefined);
  return {
    key: (value: V) => {
      const text = JSON.stringify(value);
      const sent = underWay.current?.text === text ? underWay.current : { text, key: requestKey() };
      underWay.current = sent;
      return sent.key;
    },
    answered: () => {
      underWay.current = undefined;
    },
  };
}

export const useAddAircraft = () =>
  useOnce((body: Schemas["NewAircraft"], header) =>
    answered(api.POST("/api/aircraft", { params: { header }, body })),
  );

export const useRevise = (id: number) =>
  useChange((body: Schemas["NewRevision"]) =>
    answered(api.POST("/api/aircraft/{id}/revisions", { ...at(id), body })),
  );

export const useCloseAdjustment = (id: number) =>
  useChange((closing: { version: number; because: string }) =>
    answered(api.POST("/api/aircraft/{aircraftId}/adjustment/close", { ...of(id), body: closing })),
  );

export const useAbandonAdjustment = (aircraftId: number) =>
  useChange((version: number) =>
    answered(
      api.DELETE("/api/aircraft/{aircraftId}/adjustment", {
        params: { path: { aircraftId }, query: { version } },
      }),
    ),
  );

/** Reads a setup file without storing it. */
export async function readSetupFile(text: string): Promise<Setup> {
  return answered(
    api.POST("/api/setup-files/read", {
      body: text,
      headers: { "Content-Type": "text/plain;charset=UTF-8" },
      bodySerializer: (body: string) => body,
    }),
  );
}

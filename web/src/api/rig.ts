import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Schemas } from "./client";
import { useChange, useOnce, type Setup } from "./queries";

export type Proposed = Schemas["Proposed"];
export type Moved = Schemas["Moved"];
export type WiringSheet = Schemas["WiringSheet"];
export type BalanceAdvice = Schemas["BalanceAdvice"];
export type BalanceWish = Schemas["BalanceWish"];
export type OpenSetUp = Schemas["OpenSetUp"];
export type StepResult = Schemas["StepResult"];
export type LookAnswer = Schemas["LookAnswer"];
export type ProbeTold = Schemas["ProbeTold"];
export type WaysStanding = Schemas["WaysStanding"];
export type NotedPartChange = Schemas["NotedPartChange"];

const of = (aircraftId: number) => ({ params: { path: { aircraftId } } });

export const useProposeMap = () =>
  useMutation({
    mutationFn: (setup: Setup) => answered(api.POST("/api/rig/map/proposal", { body: { setup } })),
  });

export const useShare = () =>
  useMutation({
    mutationFn: (body: Schemas["ShareAsked"]) => answered(api.POST("/api/rig/map/share", { body })),
  });

export const useMoveTransmitter = () =>
  useMutation({
    mutationFn: (body: Schemas["MoveAsked"]) => answered(api.POST("/api/rig/map/move", { body })),
  });

export const useWiringSheet = (setup: Setup) =>
  useQuery({
    queryKey: ["wiring", setup],
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () => answered(api.POST("/api/rig/map/sheet", { body: { setup } })),
  });

export const useBalanceWish = (setup: Setup) =>
  useQuery({
    queryKey: ["balance wish", setup],
    placeholderData: keepPreviousData,
    queryFn: () => answered(api.POST("/api/rig/balance/wish", { body: { setup } })),
  });

export const useBalanceAdvice = (setup: Setup, wish: BalanceWish | undefined) =>
  useQuery({
    queryKey: ["balance", setup, wish],
    enabled: wish !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () =>
      answered(api.POST("/api/rig/balance", { body: { setup, wish: wish as BalanceWish } })),
  });

const openSetUp = (aircraftId: number) => ["set-up", aircraftId];

export const useOpenSetUp = (aircraftId: number) =>
  useQuery({
    queryKey: openSetUp(aircraftId),
    queryFn: async () =>
      (await answered(api.GET("/api/aircraft/{aircraftId}/bench-set-up", of(aircraftId)))) ?? null,
  });

/** What goes with the newest answer to a step, tried; asked anew whenever the set-up is. */
export const useSetUpMends = (aircraftId: number, step: string) =>
  useQuery({
    queryKey: [...openSetUp(aircraftId), "mends", step],
    retry: false,
    queryFn: () =>
      answered(
        api.GET("/api/aircraft/{aircraftId}/bench-set-up/mends", {
          params: { path: { aircraftId }, query: { step } },
        }),
      ),
  });

export const useBeginSetUp = (aircraftId: number) =>
  useChange((school: Schemas["SetUpBegun"]["school"]) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/bench-set-up", { ...of(aircraftId), body: { school } }),
    ),
  );

export const useMoveSetUp = (aircraftId: number) =>
  useChange(
    (body: Schemas["SetUpMoved"]) =>
      answered(api.PUT("/api/aircraft/{aircraftId}/bench-set-up", { ...of(aircraftId), body })),
    openSetUp(aircraftId),
  );

export const useCloseSetUp = (aircraftId: number) =>
  useChange((version: number) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/bench-set-up/close", {
        ...of(aircraftId),
        body: { version },
      }),
    ),
  );

const ways = (aircraftId: number) => [...openSetUp(aircraftId), "ways"];

/** Which surface moves, and which way: what is looked at next, or what is changed. */
export const useWays = (aircraftId: number) =>
  useQuery({
    queryKey: ways(aircraftId),
    retry: false,
    queryFn: () =>
      answered(api.GET("/api/aircraft/{aircraftId}/bench-set-up/ways", of(aircraftId))),
  });

/** A change of the looks: the set-up goes on with the version that it left. */
function useWaysChange<V>(aircraftId: number, change: (value: V) => Promise<WaysStanding>) {
  const client = useQueryClient();
  const setUp = openSetUp(aircraftId);
  return useChange(async (value: V) => {
    const answer = await change(value);
    await client.cancelQueries({ queryKey: setUp, exact: true });
    client.setQueryData<OpenSetUp | null>(
      setUp,
      (open) => open && { ...open, version: answer.version },
    );
    return answer;
  }, ways(aircraftId));
}

export const useWaysLook = (aircraftId: number) =>
  useWaysChange(aircraftId, (body: Schemas["WaysLooked"]) =>
    answered(api.PUT("/api/aircraft/{aircraftId}/bench-set-up/ways", { ...of(aircraftId), body })),
  );

export const useWaysBack = (aircraftId: number) =>
  useWaysChange(aircraftId, (body: Schemas["SetUpSeen"]) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/bench-set-up/ways/back", { ...of(aircraftId), body }),
    ),
  );

export const useWaysAgain = (aircraftId: number) =>
  useWaysChange(aircraftId, (body: Schemas["SetUpSeen"]) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/bench-set-up/ways/again", { ...of(aircraftId), body }),
    ),
  );

export const useWaysMended = (aircraftId: number) =>
  useWaysChange(aircraftId, (body: Schemas["WaysDone"]) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/bench-set-up/ways/mended", { ...of(aircraftId), body }),
    ),
  );

export const useMeasurements = (aircraftId: number) =>
  useQuery({
    queryKey: ["measurements", aircraftId],
    queryFn: () => answered(api.GET("/api/aircraft/{aircraftId}/measurements", of(aircraftId))),
  });

export const usePartChanges = (aircraftId: number) =>
  useQuery({
    queryKey: ["part-changes", aircraftId],
    queryFn: () => answered(api.GET("/api/aircraft/{aircraftId}/part-changes", of(aircraftId))),
  });

export const useNoteChange = (aircraftId: number) =>
  useOnce((body: Schemas["ChangedOn"], header) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/part-changes/dated", {
        params: { path: { aircraftId }, header },
        body,
      }),
    ),
  );

export const useMarkCheck = (aircraftId: number) =>
  useChange(({ changeId, ...body }: Schemas["Marked"] & { changeId: number }) =>
    answered(
      api.PUT("/api/aircraft/{aircraftId}/part-changes/{changeId}", {
        params: { path: { aircraftId, changeId } },
        body,
      }),
    ),
  );

/** The thrust line through the balance point, from how a model hangs. */
export const useHanging = (body: Schemas["HangingAsked"]) =>
  useQuery({
    queryKey: ["hanging", body],
    placeholderData: keepPreviousData,
    queryFn: () => answered(api.POST("/api/rig/balance/hanging", { body })),
  });

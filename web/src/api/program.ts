import { keepPreviousData, skipToken, useMutation, useQuery } from "@tanstack/react-query";
import { meanwhile } from "./meanwhile";
import { answered, api, type Schemas } from "./client";
import { useChange, type Setup } from "./queries";

export type Hazard = Schemas["Hazard"];
export type Outcome = Schemas["Outcome"];
export type RecipeCard = Schemas["RecipeCard"];
export type Entry = Schemas["Entry"];
export type Mix = Setup["mixes"][number];
export type Phase = Setup["phases"][number];
export type CurvePoint = Mix["curve"][number];

const while_ = { placeholderData: keepPreviousData, retry: false } as const;
const whileOf = (of: unknown) => ({ ...meanwhile(of), retry: false });

export const useProgramSheet = (setup: Setup | undefined) =>
  useQuery({
    ...while_,
    queryKey: ["program", setup],
    queryFn:
      setup === undefined
        ? skipToken
        : () => answered(api.POST("/api/program/sheet", { body: { setup } })),
  });

/** What the hands do with the sticks let go: what the movements is asked for changes no oftener. */
const still = (moment: Schemas["Moment"]) => ({ ...moment, roll: 0, pitch: 0, yaw: 0 });

export type SurfaceResponse = Schemas["SurfaceResponse"];

/** What every stick and lever does to a surface where the bench stands. */
export const useSurfaceHere = (setup: Setup, moment: Schemas["Moment"], surface: string) => {
  const stands = still(moment);
  return useQuery({
    ...whileOf(surface),
    queryKey: ["here", setup, stands, surface],
    queryFn: () =>
      answered(api.POST("/api/program/here", { body: { setup, moment: stands, surface } })),
  });
};

export type OutputRow = Schemas["OutputSheet"]["rows"][number];

/** The output stage of a surface and its pair, by the sides the surfaces go to. */
export const useOutputSheet = (setup: Setup, surface: string) =>
  useQuery({
    ...whileOf(surface),
    queryKey: ["outputs", setup, surface],
    queryFn: () => answered(api.POST("/api/program/outputs", { body: { setup, surface } })),
  });

/** What every other phase would bring with sticks and levers as they stand. */
export const useFlicks = (setup: Setup | undefined, moment: Schemas["Moment"]) =>
  useQuery({
    ...while_,
    queryKey: ["flicks", setup, moment],
    queryFn:
      setup === undefined
        ? skipToken
        : () => answered(api.POST("/api/program/flicks", { body: { setup, moment } })),
  });

/** What mends each finding and hazard of a setup: of this setup only, never of the one before. */
export const useMends = (setup: Setup) =>
  useQuery({
    retry: false,
    queryKey: ["mends", setup],
    queryFn: () => answered(api.POST("/api/program/mends", { body: { setup } })),
  });

export type MovementSheet = Schemas["MovementSheet"];
export type MixEffect = Schemas["MixEffect"];

/** Every millimetre beside the bench, for where the bench stands. */
export const useMovements = (setup: Setup, moment: Schemas["Moment"]) => {
  const stands = still(moment);
  return useQuery({
    ...while_,
    queryKey: ["movements", setup, stands],
    queryFn: () =>
      answered(api.POST("/api/program/movements", { body: { setup, moment: stands } })),
  });
};

export const useFeelLines = (
  setup: Setup,
  moment: Schemas["Moment"],
  control: Schemas["FeelLinesAsked"]["control"],
  surface: string,
) => {
  const stands = still(moment);
  const of = { control, surface };
  return useQuery({
    ...whileOf(of),
    queryKey: ["feel lines", setup, stands, of],
    queryFn: () =>
      answered(
        api.POST("/api/program/feel/lines", { body: { setup, moment: stands, control, surface } }),
      ),
  });
};

/** The little drawings beside terms, asked for when one is opened. */
export const useTerms = (setup: Setup, channel: number, open: boolean) =>
  useQuery({
    ...whileOf(channel),
    queryKey: ["terms", setup, channel],
    queryFn: open
      ? () => answered(api.POST("/api/program/terms", { body: { setup, channel } }))
      : skipToken,
  });

const SEARCH_LOOK_MS = 150;

/** A search that is begun, watched and, when the setup changes or the pilot says so, stopped. */
export function useHazardSearch(setup: Setup) {
  const begun = useQuery({
    queryKey: ["hazards", setup],
    retry: false,
    staleTime: Infinity,
    queryFn: () => answered(api.POST("/api/program/hazards/searches", { body: { setup } })),
  });
  const id = begun.data?.id;
  const at = { params: { path: { id: id ?? 0 } } };
  const state = useQuery({
    queryKey: ["hazard-search", id],
    enabled: id !== undefined,
    retry: false,
    queryFn: () => answered(api.GET("/api/program/hazards/searches/{id}", at)),
    refetchInterval: (query) => (query.state.data?.end == null ? SEARCH_LOOK_MS : false),
  });
  const stop = useMutation({
    mutationFn: () => answered(api.DELETE("/api/program/hazards/searches/{id}", at)),
  });
  return {
    error: begun.error ?? state.error,
    state: state.data,
    stop: () => stop.mutate(),
    again: () => void begun.refetch(),
  };
}

export const useEntrySheet = (
  aircraftId: number,
  setup: Setup,
  transmitter: Setup["transmitter"],
) =>
  useQuery({
    ...whileOf(transmitter),
    queryKey: ["entries", aircraftId, setup, transmitter],
    queryFn: () =>
      answered(
        api.POST("/api/aircraft/{aircraftId}/entry-sheet", {
          params: { path: { aircraftId } },
          body: { setup, transmitter },
        }),
      ),
  });

export const useEntered = (aircraftId: number, transmitter: string) =>
  useQuery({
    queryKey: ["entered", aircraftId, transmitter],
    queryFn: () =>
      answered(
        api.GET("/api/aircraft/{aircraftId}/entered", {
          params: { path: { aircraftId }, query: { transmitter } },
        }),
      ),
  });

/** Ticks values off: what is made, and what that clears, is asked anew. */
export const useTick = (aircraftId: number) =>
  useChange((body: Schemas["TickedValue"][]) =>
    answered(
      api.PUT("/api/aircraft/{aircraftId}/entered", { params: { path: { aircraftId } }, body }),
    ),
  );

export const useComplaints = () =>
  useQuery({
    queryKey: ["complaints"],
    queryFn: () => answered(api.GET("/api/program/feel/words")),
    staleTime: Infinity,
  });

export const useFeelAdvice = () =>
  useMutation({
    mutationFn: (body: Schemas["FeelAsked"]) =>
      answered(api.POST("/api/program/feel/words", { body })),
  });

export const useConvertFeel = () =>
  useMutation({
    mutationFn: (body: Schemas["ConversionAsked"]) =>
      answered(api.POST("/api/program/feel/convert", { body })),
  });

/** `of` says which two are compared, whatever is being typed in one of them. */
export const useDifference = (before: Setup, after: Setup, of: string) =>
  useQuery({
    ...whileOf(of),
    queryKey: ["difference", before, after, of],
    queryFn: () => answered(api.POST("/api/setups/difference", { body: { before, after } })),
  });

/** Common mixes for which the model has the parts. */
export const useGallery = (setup: Setup) =>
  useQuery({
    ...while_,
    queryKey: ["gallery", setup.surfaces, setup.airframe.motors, setup.transmitter.inputs],
    queryFn: () => answered(api.POST("/api/program/gallery", { body: { setup } })),
  });

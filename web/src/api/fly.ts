import { useMutation, useQuery } from "@tanstack/react-query";
import { answered, api, type Schemas } from "./client";
import { day } from "@/domain/words";
import type { Written } from "./outbox";
import { useChange, useOnce } from "./queries";
import { useFieldWork } from "./field-work";
import { say } from "@/words/generated/domain";

export type CoachSheet = Schemas["CoachSheet"];
export type CoachStanding = CoachSheet["plan"]["tests"][number];
export type CoachAdvice = NonNullable<CoachStanding["advice"]>;
export type TestCard = CoachSheet["cards"][number];
export type TestResult = Schemas["TestResult"];
export type WishSheet = Schemas["WishSheet"];
export type Purpose = Schemas["Purpose"];

const of = (aircraftId: number) => ({ params: { path: { aircraftId } } });

export const useCoach = (id: number) =>
  useQuery({
    queryKey: ["coach", id],
    queryFn: () => answered(api.GET("/api/aircraft/{aircraftId}/coach", of(id))),
  });

/** What an entry asks in every phase. */
export const useFlightForm = (id: number) =>
  useQuery({
    queryKey: ["flight-form", id],
    queryFn: () => answered(api.GET("/api/aircraft/{aircraftId}/flight-form", of(id))),
  });

export const useSkipTest = (id: number) =>
  useChange((body: Schemas["Skip"]) =>
    answered(api.POST("/api/aircraft/{aircraftId}/coach/skipped", { ...of(id), body })),
  );

export const useTakeUpTest = (id: number) =>
  useChange((body: Schemas["TestCase"]) =>
    answered(api.POST("/api/aircraft/{aircraftId}/coach/taken-up", { ...of(id), body })),
  );

export const useBeginJob = (aircraftId: number) =>
  useOnce((body: Schemas["TestCase"], header) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/coach/jobs", {
        params: { path: { aircraftId }, header },
        body,
      }),
    ),
  );

export const useCloseJob = (aircraftId: number) =>
  useChange(({ jobId, body }: { jobId: number; body: Schemas["Closed"] }) =>
    answered(
      api.PUT("/api/aircraft/{aircraftId}/coach/jobs/{jobId}", {
        params: { path: { aircraftId, jobId } },
        body,
      }),
    ),
  );

/** A lever of a trim test moved in a setup: nothing is stored. */
export const useMoveLever = () =>
  useMutation({
    mutationFn: async (body: Schemas["LeverAsked"]) =>
      (await answered(api.POST("/api/edits/levers", { body }))).setup,
  });

interface FlownHere {
  flown: Schemas["FlownFlight"];
  forms: Written["forms"];
  /** The check before it that the program has not judged yet; empty for none. */
  checked: string;
}

/** A flight as flown, with what its tests showed. */
export const useAddFlown = (id: number) =>
  useFieldWork<FlownHere, unknown>({
    write: ({ flown, forms, checked }) => ({
      words: say("fly.flightOf", { day: day(flown.report.flownOn) }),
      method: "POST",
      path: `/api/aircraft/${id}/flights/flown${checked === "" ? "" : `?checked=${checked}`}`,
      body: flown,
      chain: "",
      forms,
      page: `/models/${id}/fly/new`,
    }),
  });

export const useCorrectFlown = (aircraftId: number) =>
  useChange(({ flightId, body }: { flightId: number; body: Schemas["CorrectedFlown"] }) =>
    answered(
      api.PUT("/api/aircraft/{aircraftId}/flights/{flightId}/flown", {
        params: { path: { aircraftId, flightId } },
        body,
      }),
    ),
  );

export const useWishes = (id: number) =>
  useQuery({
    queryKey: ["wishes", id],
    queryFn: () => answered(api.GET("/api/aircraft/{aircraftId}/wishes", of(id))),
  });

export const useNoteWishes = (id: number) =>
  useChange(
    (body: Schemas["ChangedWishes"]) =>
      answered(api.PUT("/api/aircraft/{aircraftId}/wishes", { ...of(id), body })),
    ["wishes", id],
  );

export const useStartingWishes = (aircraftId: number) =>
  useMutation({
    mutationFn: (pilot: Purpose["pilot"]) =>
      answered(
        api.GET("/api/aircraft/{aircraftId}/wishes/starting", {
          params: { path: { aircraftId }, query: { pilot } },
        }),
      ),
  });

import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answered, api, type Schemas, JSON_BROUGHT } from "./client";
import { useChange, useOnce, type Flight } from "./queries";

export type Story = Schemas["ModelStanding"];
export type TrimSeries = Story["series"][number];
export type PlanOptions = Schemas["PlanOptions"];
export type RodPlan = Schemas["RodPlan"];
export type Restoration = Schemas["Restoration"];

const of = (aircraftId: number) => ({ params: { path: { aircraftId } } });

/** Where the model stands: the one answer of which every page shows a part. */
export const useStory = (id: number) =>
  useQuery({
    queryKey: ["story", id],
    queryFn: () => answered(api.GET("/api/aircraft/{id}/standing", { params: { path: { id } } })),
  });

/** What is worth turning, and the plan of it. */
export const usePlan = (id: number, wish: PlanOptions) =>
  useQuery({
    placeholderData: keepPreviousData,
    queryKey: ["adjustment", id, "plan", wish],
    queryFn: () =>
      answered(api.POST("/api/aircraft/{aircraftId}/adjustment/plan", { ...of(id), body: wish })),
  });

export const useBeginPlanned = (id: number) =>
  useChange((body: Schemas["BeginningWith"]) =>
    answered(api.POST("/api/aircraft/{aircraftId}/adjustment/planned", { ...of(id), body })),
  );

/** Takes what explains the measurements into the description. */
export const useCorrect = (id: number) =>
  useChange((body: Schemas["Consent"]) =>
    answered(api.POST("/api/aircraft/{aircraftId}/learned", { ...of(id), body })),
  );

export const useMeasured = (aircraftId: number) =>
  useOnce((body: Schemas["MeasuredOnce"], header) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/bench-readings", {
        params: { path: { aircraftId }, header },
        body,
      }),
    ),
  );

export const useSaySettled = (id: number) =>
  useChange((body: Schemas["SettledSaid"]) =>
    answered(api.POST("/api/aircraft/{aircraftId}/settled-words", { ...of(id), body })),
  );

export const useTakeBackWord = (aircraftId: number) =>
  useChange((query: { phase: string; control: TrimSeries["control"] }) =>
    answered(
      api.DELETE("/api/aircraft/{aircraftId}/settled-words", {
        params: { path: { aircraftId }, query },
      }),
    ),
  );

export const useMarkFlight = (aircraftId: number) =>
  useChange(({ flight, marks }: { flight: Flight; marks: Partial<Flight["marks"]> }) =>
    answered(
      api.PUT("/api/aircraft/{aircraftId}/flights/{flightId}/marks", {
        params: { path: { aircraftId, flightId: flight.id } },
        body: { version: flight.version, marks: { ...flight.marks, ...marks } },
      }),
    ),
  );

export const useDeleteFlight = (aircraftId: number) =>
  useChange((flight: Flight) =>
    answered(
      api.DELETE("/api/aircraft/{aircraftId}/flights/{flightId}", {
        params: { path: { aircraftId, flightId: flight.id }, query: { version: flight.version } },
      }),
    ),
  );

export const useBringBack = (aircraftId: number) =>
  useChange((flightId: number) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/flights/{flightId}/brought-back", {
        params: { path: { aircraftId, flightId } },
        body: {} as never,
      }),
    ),
  );

/** Revisions whose rods were turned for the trims of a flight. */
export const useFollowed = (aircraftId: number, flightId: number, asked: boolean) =>
  useQuery({
    queryKey: ["followed", aircraftId, flightId],
    enabled: asked,
    queryFn: () =>
      answered(
        api.GET("/api/aircraft/{aircraftId}/flights/{flightId}/followed", {
          params: { path: { aircraftId, flightId } },
        }),
      ),
  });

export const useAddSimulated = (aircraftId: number) =>
  useOnce((body: Schemas["FlownFlight"], header) =>
    answered(
      api.POST("/api/aircraft/{aircraftId}/flights/simulated", {
        params: { path: { aircraftId }, header },
        body,
      }),
    ),
  );

export const useFlewWell = (id: number) =>
  useChange(({ number, flewWell }: { number: number; flewWell: boolean }) =>
    answered(
      api.PUT("/api/aircraft/{id}/revisions/{number}/flew-well", {
        params: { path: { id, number } },
        body: { flewWell },
      }),
    ),
  );

/** What was really changed: typed into the transmitter, or done at the model. */
export const useMade = (aircraftId: number) =>
  useQuery({
    queryKey: ["made", aircraftId],
    queryFn: () => answered(api.GET("/api/aircraft/{aircraftId}/made", of(aircraftId))),
  });

/** Enters that a change was put back as it was before. */
export const useMadeBack = (aircraftId: number) =>
  useChange(
    async ({
      where,
      change,
    }: {
      where: Schemas["Made"]["where"];
      change: number;
    }): Promise<void> => {
      if (where === "TRANSMITTER") {
        const path = { aircraftId, changeId: change };
        await answered(
          api.POST("/api/aircraft/{aircraftId}/typed-changes/{changeId}/back", {
            params: { path },
            headers: JSON_BROUGHT,
          }),
        );
        return;
      }
      const path = { aircraftId, jobId: change };
      await answered(
        api.POST("/api/aircraft/{aircraftId}/coach/jobs/{jobId}/back", {
          params: { path },
          headers: JSON_BROUGHT,
        }),
      );
    },
  );

/** What going back to a revision, or a flight on it, would take. */
export const useWayBack = (aircraftId: number, revision: number, flight: number, asked: boolean) =>
  useQuery({
    queryKey: ["way back", aircraftId, revision, flight],
    enabled: asked,
    queryFn: () =>
      answered(
        api.GET("/api/aircraft/{aircraftId}/way-back", {
          params: { path: { aircraftId }, query: { revision, flight } },
        }),
      ),
  });

export const useGoBack = (id: number) =>
  useChange((body: Schemas["GoingBack"]) =>
    answered(api.POST("/api/aircraft/{aircraftId}/way-back", { ...of(id), body })),
  );

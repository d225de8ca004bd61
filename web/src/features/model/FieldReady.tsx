import { useEffect } from "react";
import { useChecks, useChecksAhead } from "@/api/checks";
import { useCoach, useFlightForm } from "@/api/fly";
import { useFields, useFlights, useOpenAdjustment, useStandingTrims } from "@/api/queries";
import { useStory } from "@/api/story";

/**
 * What the pages for bench and field need, fetched while the program is in reach: on a phone they are
 * then there where it is not.
 */
export function FieldReady({ model }: { model: number }) {
  useFlights(model);
  useFields();
  useStandingTrims(model);
  useCoach(model);
  useFlightForm(model);
  useChecks(model);
  useChecksAhead(model);
  useOpenAdjustment(model);
  useStory(model);
  useEffect(() => {
    void import("@/ui/chart-paper");
    void import("@/features/flight/FlyPages");
    void import("@/features/flight/FlightsPage");
    void import("@/features/flight/FlightEntryPage");
    void import("@/features/flight/FieldCardPage");
    void import("@/features/coach/CoachPage");
    void import("@/features/preflight/ChecksPage");
    void import("@/features/preflight/CheckRunPage");
    void import("@/features/adjustment/AdjustPage");
  }, []);
  return null;
}

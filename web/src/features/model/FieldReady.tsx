import { useEffect } from "react";
import { useChecks, useChecksAhead } from "@/api/checks";
import { useCoach, useFlightForm } from "@/api/fly";
import { useFields, useFlights, useOpenAdjustment, useStandingTrims } from "@/api/queries";
import { useStory } from "@/api/history";

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
    void import("@/features/flightlog/FlyPages");
    void import("@/features/flightlog/FlightsPage");
    void import("@/features/flightlog/FlightEntryPage");
    void import("@/features/flightlog/FieldCardPage");
    void import("@/features/trimming/CoachPage");
    void import("@/features/preflight/ChecksPage");
    void import("@/features/preflight/CheckRunPage");
    void import("@/features/adjustment/AdjustPage");
  }, []);
  return null;
}

import { useBeginAdjustment, usePreview, type Flight, type PlannedRod } from "@/api/queries";
import { day, travelWords, type Way } from "@/domain/words";
import { useModel } from "@/features/aircraft/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";

/** What the trims of a flight mean for every rod, before anything is touched. */
export function PlanView({ flight }: { flight: Flight }) {
  const { standing, draft } = useModel();
  const plan = usePreview(standing.id, flight.id);
  const begin = useBeginAdjustment(standing.id);
  if (plan.data === undefined) {
    return plan.isError ? <Failure error={plan.error} /> : <Waiting what="the plan" />;
  }
  const wayOf = (id: string) => draft.present.surfaces.find((one) => one.id === id) ?? false;
  return (
    <div className="mx-auto max-w-4xl space-y-3">
      <h2 className="text-xl">Trims of {day(flight.report.flownOn)}, turned into metal</h2>
      {plan.data.cautions.map((caution) => (
        <p key={caution} role="note" className="border-l-4 border-tag bg-sheet px-4 py-3">
          {caution}
        </p>
      ))}
      <Card>
        <ul>
          {plan.data.rods.map((rod) => (
            <Rod key={rod.surface} rod={rod} way={wayOf(rod.surface)} />
          ))}
        </ul>
      </Card>
      {begin.isError && <Failure error={begin.error} />}
      <div className="flex flex-wrap items-center gap-4">
        <Button
          look="main"
          large
          onClick={() => begin.mutate(flight.id)}
          disabled={begin.isPending}
        >
          Start at the bench
        </Button>
        <p className="text-soft">
          One step at a time; you can leave and come back. The setup changes only at the end.
        </p>
      </div>
    </div>
  );
}

function Rod({ rod, way }: { rod: PlannedRod; way: Way }) {
  const exact = Math.abs(rod.turnsExact).toFixed(2);
  return (
    <li
      data-rod={rod.surface}
      className={`grid gap-x-6 gap-y-1 border-t border-line py-3 first:border-0 sm:grid-cols-[1fr_auto] ${rod.steps === 0 ? "text-soft" : ""}`}
    >
      <p className={rod.steps === 0 ? "" : "text-lg font-semibold"}>{rod.sentence}</p>
      <p className="figures text-sm text-soft sm:text-right">
        {rod.steps !== 0 && (
          <>
            Rod {Math.abs(rod.appliedMm).toFixed(2)} mm {rod.appliedMm > 0 ? "longer" : "shorter"};
            exact {exact}
            <br />
          </>
        )}
        Edge {travelWords(rod.todayMm, way)} → {travelWords(rod.afterMm, way)}, flown at{" "}
        {travelWords(rod.targetMm, way)}
      </p>
    </li>
  );
}

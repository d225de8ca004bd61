import { Check } from "@/ui/check";
import { useState } from "react";
import {
  useBeginAdjustment,
  usePreview,
  useRodsProposal,
  useSettling,
  type Flight,
  type PlannedRod,
} from "@/api/queries";
import { day, travelWords, type Control, type Way, size } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { AfterCards } from "./AfterCards";
import { PhasesAfter } from "./PhasesAfter";
import { TurnDrawing } from "./TurnDrawing";
import { Failure, Waiting } from "@/ui/message";

const ALL: Control[] = ["ROLL", "PITCH", "YAW"];

/** What the trims of a flight mean for every rod, before anything is touched. */
export function PlanView({ flight }: { flight: Flight }) {
  const { standing, draft } = useModel();
  const settling = useSettling(standing.id);
  const [chosen, setChosen] = useState("");
  const [presetsTakeUp, setPresetsTakeUp] = useState(false);
  const [picked, setPicked] = useState<Control[] | null>(null);
  const proposal = useRodsProposal(standing.id, flight.id, chosen);
  const flown = [
    draft.present.phases.at(-1)?.id ?? "",
    ...flight.report.phases.map((one) => one.phase),
  ];
  const usual = settling.data?.reference ?? "";
  const reference = proposal.data?.reference ?? "";
  const controls = picked ?? proposal.data?.controls ?? ALL;
  const plan = usePreview(
    standing.id,
    flight.id,
    reference,
    presetsTakeUp,
    controls,
    proposal.data !== undefined,
  );
  const begin = useBeginAdjustment(standing.id);
  const some = proposal.data?.settled ?? 0;
  if (plan.data === undefined) {
    return plan.isError ? <Failure error={plan.error} /> : <Waiting what="the plan" />;
  }
  const wayOf = (id: string) => draft.present.surfaces.find((one) => one.id === id) ?? false;
  return (
    <div className="mx-auto max-w-4xl space-y-3">
      <h2 className="text-xl">Trims of {day(flight.report.flownOn)}, turned into metal</h2>
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        {flown.length > 1 && (
          <Choice
            label="Phase whose trim becomes metal"
            value={reference}
            onValue={setChosen}
            options={draft.present.phases
              .filter((one) => flown.includes(one.id))
              .map(
                (one) => [one.id, `${one.name}${one.id === usual ? " (flown most)" : ""}`] as const,
              )}
          />
        )}
        <fieldset className="flex h-9 items-center gap-3">
          <legend className="sr-only">Trims that go into the rods</legend>
          <span className="text-soft">Into the rods:</span>
          {ALL.map((one) => (
            <Tick
              key={one}
              label={one.toLowerCase()}
              checked={controls.includes(one)}
              onChecked={(on) => {
                const rest = controls.filter((each) => each !== one);
                if (on || rest.length > 0) {
                  setPicked(on ? [...rest, one] : rest);
                }
              }}
            />
          ))}
        </fieldset>
        {flown.length > 1 && (
          <Tick
            label="Presets take up what the rods leave"
            checked={presetsTakeUp}
            onChecked={setPresetsTakeUp}
          />
        )}
      </div>
      {settling.data?.ready === true && (
        <p className="text-soft">
          Settled trims count with the middle of their flights, not with the last one alone.
        </p>
      )}
      {picked === null && some > 0 && some < (proposal.data?.known ?? 0) && (
        <p role="note" className="border-l-4 border-tag bg-sheet px-4 py-3">
          Chosen are the trims that have settled; the others keep their clicks until they have.
        </p>
      )}
      {proposal.data !== undefined && some === 0 && (
        <p role="note" className="border-l-4 border-tag bg-sheet px-4 py-3">
          None of these trims has settled yet: the log shows what is missing. Rods are for trims
          that stay.
        </p>
      )}
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
      {plan.data.remedies.length > 0 && (
        <Card title="What may be better than a rod">
          <ul className="list-disc space-y-1 pl-5" data-remedies>
            {plan.data.remedies.map((one) => (
              <li key={one.surface + one.kind}>{one.words}</li>
            ))}
          </ul>
        </Card>
      )}
      <PhasesAfter plan={plan.data} />
      <AfterCards plan={plan.data} />
      {begin.isError && <Failure error={begin.error} />}
      <div className="flex flex-wrap items-center gap-4">
        <Button
          look="main"
          large
          onClick={() => begin.mutate({ flightId: flight.id, reference, presetsTakeUp, controls })}
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

interface TickProps {
  label: string;
  checked: boolean;
  onChecked: (checked: boolean) => void;
}

function Tick({ label, checked, onChecked }: TickProps) {
  return (
    <Check
      className="h-9"
      checked={checked}
      onChecked={(checked) => onChecked(checked)}
      label={label}
    />
  );
}

function Rod({ rod, way }: { rod: PlannedRod; way: Way }) {
  const exact = size(rod.turnsExact, 2);
  return (
    <li
      data-rod={rod.surface}
      className={`grid gap-x-6 gap-y-1 border-t border-line py-3 first:border-0 sm:grid-cols-[auto_1fr_auto] ${rod.steps === 0 ? "text-soft" : ""}`}
    >
      <p className={rod.steps === 0 ? "" : "text-lg font-semibold"}>{rod.sentence}</p>
      <p className="figures text-sm text-soft sm:text-right">
        {rod.steps !== 0 && (
          <>
            Rod {size(rod.appliedMm, 2)} mm {rod.appliedMm > 0 ? "longer" : "shorter"}; exact{" "}
            {exact}
            <br />
          </>
        )}
        Edge {travelWords(rod.todayMm, way)} → {travelWords(rod.afterMm, way)}, flown at{" "}
        {travelWords(rod.targetMm, way)}
      </p>
      {rod.steps !== 0 && (
        <div className="sm:order-first sm:row-span-2 [&_figure]:w-40">
          <TurnDrawing rod={rod} way={way} />
        </div>
      )}
    </li>
  );
}

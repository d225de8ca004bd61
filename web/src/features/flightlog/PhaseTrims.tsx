import { Check } from "@/ui/check";
import { useState } from "react";
import { useWatch, type UseFormReturn } from "react-hook-form";
import type { Schemas } from "@/api/client";
import type { FlightReport, Setup } from "@/api/queries";
import { CONTROL_KEYS, CONTROL_WORDS, clickWords, controlName, keyOf } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Slide } from "@/ui/slide";
import { Stepper } from "@/ui/stepper";
import { blankReading, type Reading } from "./reading";
import { SureRow } from "./SureRow";
import { say } from "@/words/generated/flightlog";

type Phase = Setup["phases"][number];

interface Props {
  form: UseFormReturn<FlightReport>;
  range: number;
  asks: Schemas["FlightForm"][];
  standingIn: (phase: string) => Reading["trims"];
}

/** Which phases were flown, by one row of switches, and their clicks, by the thumb. */
export function PhaseTrims({ form, range, asks, standingIn }: Props) {
  const { standing } = useModel();
  const phases = standing.newest.setup.phases;
  const base = phases.at(-1);
  const [chosen, setChosen] = useState(base?.id ?? "");
  const report = useWatch({ control: form.control }) as FlightReport;
  const readings = report.phases;
  const ask = asks.find((one) => one.phase === chosen);
  const isBase = chosen === base?.id;
  const there = readings.find((one) => one.phase === chosen);
  const flown = (id: string) => id === base?.id || readings.some((one) => one.phase === id);
  const blank = (id: string) =>
    blankReading(
      id,
      standingIn(id),
      asks.find((one) => one.phase === id),
      report.sure,
    );
  const reading: Reading = isBase ? { ...report, phase: chosen } : (there ?? blank(chosen));
  const set = (part: Partial<Reading>) => {
    if (isBase) {
      for (const [name, value] of Object.entries(part)) {
        form.setValue(name as "trims", value as FlightReport["trims"]);
      }
    } else {
      form.setValue("phases", [
        ...readings.filter((one) => one.phase !== chosen),
        { ...reading, ...part },
      ]);
    }
  };
  const turn = (id: string, on: boolean) => {
    const others = readings.filter((one) => one.phase !== id);
    form.setValue("phases", on ? [...others, blank(id)] : others);
  };
  return (
    <Card title={say("phaseTrims.title")}>
      {phases.length > 1 && (
        <PhaseSwitches
          phases={phases}
          chosen={chosen}
          onChosen={setChosen}
          flown={flown}
          onFlown={turn}
        />
      )}
      <div className="space-y-4">
        {CONTROL_KEYS.filter((name) => ask?.asked.some((one) => one.toLowerCase() === name)).map(
          (name) => (
            <div key={name}>
              <div className="mb-1 text-sm font-medium text-soft">
                {say("phaseTrims.trim", { controlName: controlName(name) })}
              </div>
              <Stepper
                large
                label={say("phaseTrims.trim", { controlName: controlName(name) })}
                words={clickWords(name, reading.trims[name])}
                value={reading.trims[name]}
                min={-range}
                max={range}
                onValue={(value) => set({ trims: { ...reading.trims, [name]: value } })}
              />
            </div>
          ),
        )}
        {ask !== undefined && ask.common.length > 0 && (
          <p className="text-sm text-soft">
            {say("phaseTrims.sharedTrim", {
              common: ask.common.map((one) => CONTROL_WORDS[keyOf(one)]).join(", "),
              base: base?.name,
            })}
          </p>
        )}
        {ask?.throttleAsked === true ? (
          <Slide
            label={say("phaseTrims.throttle")}
            min={0}
            max={100}
            step={5}
            value={reading.throttlePercent}
            words={`${reading.throttlePercent} %`}
            onValue={(throttlePercent) => set({ throttlePercent })}
          />
        ) : (
          ask !== undefined &&
          ask.reckoned !== "" && <p className="text-sm text-soft">{ask.reckoned}</p>
        )}
        <SureRow
          value={reading.sure}
          onValue={(sure) => set({ sure })}
          missing={
            isBase && form.formState.errors.sure !== undefined && (report.sure as string) === ""
          }
        />
        <Check
          className="min-h-12 text-base"
          checked={reading.turnsDiffer}
          onChecked={(checked) => set({ turnsDiffer: checked })}
          label={say("phaseTrims.turnsDiffer")}
        />
      </div>
    </Card>
  );
}

interface SwitchesProps {
  phases: Phase[];
  chosen: string;
  onChosen: (id: string) => void;
  flown: (id: string) => boolean;
  onFlown: (id: string, on: boolean) => void;
}

/** Which phases were flown, and the one whose clicks are shown. */
function PhaseSwitches({ phases, chosen, onChosen, flown, onFlown }: SwitchesProps) {
  return (
    <>
      <div
        className="mb-3 flex flex-wrap gap-x-4 gap-y-2"
        role="group"
        aria-label={say("phaseTrims.phasesFlown")}
      >
        {[...phases].reverse().map((phase) => (
          <Check
            key={phase.id}
            className="min-h-12"
            checked={flown(phase.id)}
            disabled={phase.id === phases.at(-1)?.id}
            onChecked={(on) => onFlown(phase.id, on)}
            label={say("phaseTrims.flown", { phase: phase.name })}
          />
        ))}
      </div>
      <div
        className="mb-3 flex flex-wrap gap-1.5"
        role="group"
        aria-label={say("phaseTrims.phase")}
      >
        {[...phases].reverse().map((phase) => (
          <Button
            key={phase.id}
            className="min-h-12"
            look={phase.id === chosen ? "main" : "plain"}
            onClick={() => onChosen(phase.id)}
            aria-pressed={phase.id === chosen}
          >
            {phase.name}
          </Button>
        ))}
      </div>
    </>
  );
}

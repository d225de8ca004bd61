import { Check } from "@/ui/check";
import { useState } from "react";
import { useWatch, type UseFormReturn } from "react-hook-form";
import type { FlightReport } from "@/api/queries";
import { CONTROL_KEYS, clickWords, controlName } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Slide } from "@/ui/slide";
import { Stepper } from "@/ui/stepper";

type Reading = FlightReport["phases"][number];

const SURE = [
  ["SURE", "sure"],
  ["FAIRLY", "fairly"],
  ["NOT", "not sure"],
] as const;

interface Props {
  form: UseFormReturn<FlightReport>;
  range: number;
  standingIn: (phase: string) => Reading["trims"];
}

/** Clicks of one phase after the other, by the thumb; a phase that was not flown stays out. */
export function PhaseTrims({ form, range, standingIn }: Props) {
  const { standing } = useModel();
  const phases = standing.newest.setup.phases;
  const base = phases.at(-1);
  const [chosen, setChosen] = useState(base?.id ?? "");
  const report = useWatch({ control: form.control }) as FlightReport;
  const readings = report.phases;
  const isBase = chosen === base?.id;
  const at = readings.findIndex((one) => one.phase === chosen);
  const blank: Reading = {
    phase: chosen,
    trims: isBase ? report.trims : standingIn(chosen),
    throttlePercent: 50,
    sure: "SURE",
    turnsDiffer: false,
  };
  const reading: Reading = isBase
    ? {
        ...blank,
        throttlePercent: report.throttlePercent,
        sure: report.sure,
        turnsDiffer: report.turnsDiffer,
      }
    : (readings[at] ?? blank);
  const set = (part: Partial<Reading>) => {
    const changed = { ...reading, ...part };
    if (isBase) {
      form.setValue("trims", changed.trims);
      form.setValue("throttlePercent", changed.throttlePercent);
      form.setValue("sure", changed.sure);
      form.setValue("turnsDiffer", changed.turnsDiffer);
    } else {
      form.setValue("phases", [...readings.filter((one) => one.phase !== chosen), changed]);
    }
  };
  const flown = (id: string) => id === base?.id || readings.some((one) => one.phase === id);
  return (
    <Card title="Trims when it flew straight, hands off">
      {phases.length > 1 && (
        <div className="mb-3 flex flex-wrap gap-1.5" role="group" aria-label="Phase">
          {[...phases].reverse().map((phase) => (
            <Button
              key={phase.id}
              look={phase.id === chosen ? "main" : "plain"}
              onClick={() => setChosen(phase.id)}
              aria-pressed={phase.id === chosen}
            >
              {phase.name}
              {flown(phase.id) && phase.id !== chosen ? " ✓" : ""}
            </Button>
          ))}
        </div>
      )}
      <div className="space-y-4">
        {CONTROL_KEYS.map((name) => (
          <div key={name}>
            <div className="mb-1 text-sm font-medium text-soft">{controlName(name)} trim</div>
            <Stepper
              large
              label={`${controlName(name)} trim`}
              words={clickWords(name, reading.trims[name])}
              value={reading.trims[name]}
              min={-range}
              max={range}
              onValue={(value) => set({ trims: { ...reading.trims, [name]: value } })}
            />
          </div>
        ))}
        <Slide
          label="Throttle"
          min={0}
          max={100}
          step={5}
          value={reading.throttlePercent}
          words={`${reading.throttlePercent} %`}
          onValue={(throttlePercent) => set({ throttlePercent })}
        />
        <div className="flex items-center gap-2" role="group" aria-label="How sure">
          {SURE.map(([value, word]) => (
            <Button
              key={value}
              look={reading.sure === value ? "main" : "plain"}
              aria-pressed={reading.sure === value}
              onClick={() => set({ sure: value })}
            >
              {word}
            </Button>
          ))}
        </div>
        <div className="flex flex-wrap items-center justify-between gap-2">
          <Check
            className="text-sm"
            checked={reading.turnsDiffer}
            onChecked={(checked) => set({ turnsDiffer: checked })}
            label="Left and right turns differ"
          />
          {!isBase && at < 0 && <Button onClick={() => set({})}>Flown with these</Button>}
          {!isBase && at >= 0 && (
            <Button
              look="quiet"
              onClick={() =>
                form.setValue(
                  "phases",
                  readings.filter((one) => one.phase !== chosen),
                )
              }
            >
              Not flown
            </Button>
          )}
        </div>
      </div>
    </Card>
  );
}

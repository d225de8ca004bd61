import { useTrimClicks, useTrimsShown } from "@/api/queries";
import { Check } from "@/ui/check";
import { Tip } from "@/ui/tip";
import { useState } from "react";
import type { Schemas } from "@/api/client";
import { useWatch, type UseFormReturn } from "react-hook-form";
import type { FlightReport } from "@/api/queries";
import { CONTROL_KEYS, CONTROL_WORDS, controlName, type ControlKey } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { SureRow } from "./SureRow";
import { say } from "@/words/generated/flightlog";

type Reading = FlightReport["phases"][number];
type Unit = Schemas["ShownAsked"]["unit"];

const UNITS = [
  ["CLICKS", say("cardTable.clicks")],
  ["PERCENT", say("cardTable.percent")],
  ["MICROSECONDS", say("cardTable.microseconds")],
] as const;
const UNIT_WORDS = { CLICKS: say("cardTable.clicks"), PERCENT: "%", MICROSECONDS: "µs" } as const;

interface Props {
  form: UseFormReturn<FlightReport>;
  stands: Schemas["StandingTrims"];
}

/** The field card's table in one screen: every phase a row, in the unit the transmitter shows. */
export function CardTable({ form, stands }: Props) {
  const { standing } = useModel();
  const { phases } = standing.newest.setup;
  const [unit, setUnit] = useState<Unit>("CLICKS");
  const report = useWatch({ control: form.control }) as FlightReport;
  const base = phases.at(-1)?.id ?? "";
  const transmitter = standing.newest.setup.transmitter;
  const reading = (id: string): Reading | undefined =>
    id === base ? { ...report, phase: base } : report.phases.find((one) => one.phase === id);
  const set = (id: string, part: Partial<Reading>) => {
    if (id === base) {
      for (const [name, value] of Object.entries(part)) {
        form.setValue(name as "trims", value as FlightReport["trims"]);
      }
      return;
    }
    const blank: Reading = {
      phase: id,
      trims: { roll: 0, pitch: 0, yaw: 0 },
      throttlePercent: 50,
      sure: report.sure,
      turnsDiffer: false,
    };
    form.setValue("phases", [
      ...report.phases.filter((one) => one.phase !== id),
      { ...blank, ...reading(id), ...part },
    ]);
  };
  return (
    <Card title={say("cardTable.title")}>
      <Choice
        label={say("cardTable.transmitterShows")}
        value={unit}
        onValue={setUnit}
        options={UNITS}
      />
      <table className="mt-2 w-full text-sm" data-card-table>
        <thead>
          <tr className="text-left text-soft">
            <th className="font-medium">{say("cardTable.phase")}</th>
            {CONTROL_KEYS.map((key) => (
              <th key={key} className="font-medium">
                {controlName(key)}
              </th>
            ))}
            <th className="font-medium">{say("cardTable.sure")}</th>
          </tr>
        </thead>
        <tbody>
          {[...phases].reverse().map((phase) => (
            <tr key={phase.id} className="border-t border-line">
              <td className="max-w-24 py-1 pr-1">{phase.name}</td>
              {CONTROL_KEYS.map((key) => (
                <td key={key} className="py-1 pr-1">
                  <Cell
                    key={unit}
                    name={`${phase.name}, ${CONTROL_WORDS[key]}, ${UNIT_WORDS[unit]}`}
                    clicks={reading(phase.id)?.trims[key]}
                    transmitter={transmitter}
                    unit={unit}
                    onClicks={(clicks) => {
                      const trims = reading(phase.id)?.trims ?? { roll: 0, pitch: 0, yaw: 0 };
                      set(phase.id, { trims: { ...trims, [key as ControlKey]: clicks } });
                    }}
                  />
                </td>
              ))}
              <td>
                <Check
                  hidden
                  label={say("cardTable.sureOf", { phase: phase.name })}
                  checked={reading(phase.id)?.sure === "SURE"}
                  onChecked={(checked) => set(phase.id, { sure: checked ? "SURE" : "NOT" })}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="mt-2">
        <SureRow
          value={report.sure}
          onValue={(sure) => form.setValue("sure", sure)}
          missing={form.formState.errors.sure !== undefined && (report.sure as string) === ""}
        />
      </div>
      <p className="mt-1 text-sm text-soft">
        {say("cardTable.signs", { percentPerClick: stands.percentPerClick })}
      </p>
    </Card>
  );
}

interface CellProps {
  name: string;
  clicks: number | undefined;
  transmitter: Schemas["Transmitter"];
  unit: Unit;
  onClicks: (clicks: number) => void;
}

const numberOf = (typed: string) => Number(typed.replace(",", ".").replace("−", "-"));

/** One trim as the transmitter shows it; what it is in clicks the core says once it is typed. */
function Cell({ name, clicks, transmitter, unit, onClicks }: CellProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const known = clicks === undefined ? [] : [clicks];
  const shown = useTrimsShown({ transmitter, unit, clicks: known });
  const read = useTrimClicks();
  const value = shown.data?.[0];
  const text = clicks === undefined || value === undefined ? "" : String(value);
  const empty = typed === null || typed.trim() === "";
  const wrong = !empty && (Number.isNaN(numberOf(typed)) || read.isError);
  const type = (entered: string) => {
    setTyped(entered);
    read.reset();
    const number = numberOf(entered);
    if (entered.trim() !== "" && !Number.isNaN(number)) {
      read.mutate(
        { transmitter, unit, shown: number },
        { onSuccess: (found) => onClicks(found.clicks) },
      );
    }
  };
  const input = (
    <input
      aria-label={name}
      aria-invalid={wrong}
      inputMode="text"
      className={`figures h-11 w-full min-w-12 rounded-card border bg-sheet px-1 text-center text-base ${wrong ? "border-2 border-grounded" : "border-line-strong"}`}
      value={typed ?? text}
      onBlur={() => !wrong && !read.isPending && setTyped(null)}
      onChange={(event) => type(event.target.value)}
    />
  );
  return (
    <Tip words={wrong ? `${name}: ${read.error?.message ?? say("cardTable.aNumber")}` : undefined}>
      {input}
    </Tip>
  );
}

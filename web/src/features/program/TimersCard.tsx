import { Plus, X } from "lucide-react";
import { useState } from "react";
import { clock } from "@/domain/words";
import { secondsOf } from "@/domain/scales";
import { AddButton } from "@/features/model/edits";
import { DraftChoice, DraftNumber, DraftText } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { DraftWhen } from "./parts";

const P = ["power"] as const;

/** What counts, and what warns. */
export function TimersCard() {
  const { draft, change } = useModel();
  const { timers, alarms } = draft.present.power;
  return (
    <Card title="Timers and alarms">
      {timers.map((timer, i) => (
        <div
          key={timer.id}
          className="mb-2 grid grid-cols-2 gap-3 border-t border-line pt-2 first:border-0 sm:grid-cols-4"
        >
          <DraftText path={[...P, "timers", i, "name"]} label="Timer" />
          <DraftChoice
            path={[...P, "timers", i, "countsDown"]}
            label="Counts"
            options={[
              [true, "down"],
              [false, "up"],
            ]}
          />
          <Times
            label="From, minutes:seconds"
            values={[timer.startSeconds]}
            onValues={([value = 0]) =>
              change({ type: "edit", path: [...P, "timers", i, "startSeconds"], value })
            }
          />
          <Times
            label="Call out at"
            many
            values={timer.spokenAtSeconds}
            onValues={(value) =>
              change({ type: "edit", path: [...P, "timers", i, "spokenAtSeconds"], value })
            }
          />
          <DraftWhen path={[...P, "timers", i, "when"]} label="Runs while" none="always" />
          <DraftWhen path={[...P, "timers", i, "resetWhen"]} label="Reset while" none="by hand" />
          <Gone name={timer.name} list="timers" at={i} />
        </div>
      ))}
      {alarms.map((alarm, i) => (
        <div
          key={i}
          className="mb-2 grid grid-cols-2 gap-3 border-t border-line pt-2 sm:grid-cols-5"
        >
          <DraftText path={[...P, "alarms", i, "name"]} label="Alarm" />
          <DraftChoice
            path={[...P, "alarms", i, "value"]}
            label="On"
            options={[
              ["link", "link quality, %"],
              ["voltage", "pack voltage, V"],
            ]}
          />
          <DraftNumber path={[...P, "alarms", i, "limit"]} />
          <DraftNumber path={[...P, "alarms", i, "delaySeconds"]} />
          <Gone name={alarm.name} list="alarms" at={i} />
        </div>
      ))}
      <div className="flex gap-2">
        <AddButton part="TIMER">
          <Plus aria-hidden size={16} /> Timer
        </AddButton>
        <AddButton part="ALARM">
          <Plus aria-hidden size={16} /> Alarm
        </AddButton>
      </div>
    </Card>
  );
}

function Gone({ name, list, at }: { name: string; list: "timers" | "alarms"; at: number }) {
  const { draft, change } = useModel();
  const all: readonly unknown[] = draft.present.power[list];
  return (
    <Button
      look="quiet"
      className="self-end justify-self-start"
      aria-label={`Remove ${name}`}
      onClick={() =>
        change({
          type: "edit",
          path: [...P, list],
          value: all.filter((_, other) => other !== at),
        })
      }
    >
      <X aria-hidden size={15} /> Remove
    </Button>
  );
}

interface TimesProps {
  label: string;
  values: number[];
  /** Whether there may be several, with commas between, or none. */
  many?: boolean;
  onValues: (values: number[]) => void;
}

/** Minutes and seconds, `5:30`; a figure alone is seconds. */
function Times({ label, values, many = false, onValues }: TimesProps) {
  const stored = values.map(clock).join(", ");
  const [typed, setTyped] = useState({ text: stored, of: stored });
  const text = typed.of === stored ? typed.text : stored;
  const parts = text.trim() === "" ? [] : text.split(",");
  const read = parts.map(secondsOf);
  const wrong = read.includes(undefined) || (!many && read.length !== 1);
  return (
    <label className="block min-w-0">
      <span className="mb-0.5 block text-sm text-soft">{label}</span>
      <input
        className={`figures h-9 w-full rounded-card border bg-sheet px-2.5 font-medium ${wrong ? "border-2 border-grounded" : "border-line-strong"}`}
        value={text}
        aria-invalid={wrong}
        onChange={(event) => setTyped({ text: event.target.value, of: stored })}
        onBlur={() => !wrong && text !== stored && onValues(read.map((one) => one ?? 0))}
      />
      {wrong && (
        <span role="alert" className="text-xs font-medium text-grounded">
          Minutes and seconds, such as 5:30{many && ", with commas between"}
        </span>
      )}
    </label>
  );
}

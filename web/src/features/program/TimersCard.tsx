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
import { say } from "@/words/generated/program";

const P = ["power"] as const;

/** What counts, and what warns. */
export function TimersCard() {
  const { draft, change } = useModel();
  const { timers, alarms } = draft.present.power;
  return (
    <Card title={say("timersCard.title")}>
      {timers.map((timer, i) => (
        <div
          key={timer.id}
          className="mb-2 grid grid-cols-2 gap-3 border-t border-line pt-2 first:border-0 sm:grid-cols-4"
        >
          <DraftText path={[...P, "timers", i, "name"]} label={say("timersCard.timer")} />
          <DraftChoice
            path={[...P, "timers", i, "countsDown"]}
            label={say("timersCard.counts")}
            options={[
              [true, say("timersCard.down")],
              [false, say("timersCard.up")],
            ]}
          />
          <Times
            label={say("timersCard.from")}
            values={[timer.startSeconds]}
            onValues={([value = 0]) =>
              change({ type: "edit", path: [...P, "timers", i, "startSeconds"], value })
            }
          />
          <Times
            label={say("timersCard.callOut")}
            many
            values={timer.spokenAtSeconds}
            onValues={(value) =>
              change({ type: "edit", path: [...P, "timers", i, "spokenAtSeconds"], value })
            }
          />
          <DraftWhen
            path={[...P, "timers", i, "when"]}
            label={say("timersCard.runsWhile")}
            none={say("timersCard.always")}
          />
          <DraftWhen
            path={[...P, "timers", i, "resetWhen"]}
            label={say("timersCard.resetWhile")}
            none={say("timersCard.byHand")}
          />
          <Gone name={timer.name} list="timers" at={i} />
        </div>
      ))}
      {alarms.map((alarm, i) => (
        <div
          key={i}
          className="mb-2 grid grid-cols-2 gap-3 border-t border-line pt-2 sm:grid-cols-5"
        >
          <DraftText path={[...P, "alarms", i, "name"]} label={say("timersCard.alarm")} />
          <DraftChoice
            path={[...P, "alarms", i, "value"]}
            label={say("timersCard.on")}
            options={[
              ["link", say("timersCard.linkQuality")],
              ["voltage", say("timersCard.voltage")],
            ]}
          />
          <DraftNumber path={[...P, "alarms", i, "limit"]} />
          <DraftNumber path={[...P, "alarms", i, "delaySeconds"]} />
          <Gone name={alarm.name} list="alarms" at={i} />
        </div>
      ))}
      <div className="flex gap-2">
        <AddButton part="TIMER">
          <Plus aria-hidden size={16} /> {say("timersCard.timer")}
        </AddButton>
        <AddButton part="ALARM">
          <Plus aria-hidden size={16} /> {say("timersCard.alarm")}
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
      aria-label={say("timersCard.removeNamed", { name })}
      onClick={() =>
        change({
          type: "edit",
          path: [...P, list],
          value: all.filter((_, other) => other !== at),
        })
      }
    >
      <X aria-hidden size={15} /> {say("timersCard.remove")}
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
          {say("timersCard.timeFormat", { many: Boolean(many) })}
        </span>
      )}
    </label>
  );
}

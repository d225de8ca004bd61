import { useEffect, useId, useRef, useState } from "react";
import type { LookAnswer, ProbeTold } from "@/api/rig";
import { Button } from "@/ui/button";
import { Caution } from "@/ui/card";
import { Fold } from "@/ui/fold";
import { OptionRow } from "@/ui/option-row";
import { say } from "@/words/generated/benchsetup";
import { LookDrawn } from "./LookDrawn";

type Told = NonNullable<ProbeTold["next"]>;
type Line = Told["lines"][number];

interface Shown {
  told: Told;
  /** How many were seen before it; at the first the focus stays where the step put it. */
  seen: number;
  busy: boolean;
  onSeen: (answer: LookAnswer) => void;
}

/** One look, answered at once where all goes as it must, and surface by surface where not. */
export function LookSeen({ told, seen, busy, onSeen }: Shown) {
  const answer = useRef<HTMLButtonElement>(null);
  const what = useId();
  const [ways, setWays] = useState<Record<string, number>>({});
  const way = (line: Line) => ways[line.surface] ?? line.way;
  // The next look is answered with the same key, or the same thumb, as the one before.
  useEffect(() => {
    if (seen > 0) {
      answer.current?.focus({ preventScroll: true });
    }
  }, [seen]);
  const asDrawn = told.lines.every((line) => way(line) === line.way);
  const moving = told.lines.filter((line) => line.way !== 0 || !line.told);
  const still = told.lines.filter((line) => line.way === 0 && line.told);
  const row = (line: Line) => (
    <Fold
      key={line.surface}
      className="rounded-card border border-line px-3 py-2"
      title={<span className="text-xl">{line.words}</span>}
    >
      <OptionRow
        label={line.words}
        value={String(way(line))}
        onValue={(picked) => setWays({ ...ways, [line.surface]: Number(picked) })}
        options={[
          ["1", line.plus],
          ["0", say("ways.still")],
          ["-1", line.minus],
        ]}
      />
    </Fold>
  );
  return (
    <div data-look={told.look.id} data-seen={seen}>
      <div id={what}>
        <h3 className="mt-2 text-3xl leading-tight">{told.title}</h3>
        <p className="my-3 max-w-[52ch] text-2xl leading-snug">{told.instruction}</p>
      </div>
      {told.caution !== "" && <Caution>{told.caution}</Caution>}
      <LookDrawn look={told.look} />
      <div className="my-4 space-y-2">
        <div className="grid items-start gap-2 sm:grid-cols-2">{moving.map(row)}</div>
        {still.length > 0 && (
          <Fold title={<span className="text-soft">{say("ways.other")}</span>}>
            <div className="mt-2 space-y-2">{still.map(row)}</div>
          </Fold>
        )}
        <p className="text-sm text-soft">{say("ways.tap")}</p>
      </div>
      <Button
        ref={answer}
        look="main"
        large
        className="sticky bottom-3 z-10 w-full shadow-lg sm:w-auto sm:min-w-80"
        aria-describedby={what}
        disabled={busy}
        onClick={() =>
          onSeen({
            look: told.look.id,
            seen: told.lines
              .filter((line) => line.told || ways[line.surface] !== undefined)
              .map((line) => ({ surface: line.surface, way: way(line) })),
          })
        }
      >
        {asDrawn ? say("ways.asDrawn") : say("ways.seen")}
      </Button>
    </div>
  );
}

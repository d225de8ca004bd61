import { lengthUnit, written } from "@/domain/reader";
import { useId, useState } from "react";
import { useMovement, type WantedMovement } from "@/api/edits";
import { ApiError } from "@/api/client";
import { movementUnit, useMovementUnit, type MovementUnit } from "@/domain/movement-unit";
import { typedIn, unitSign } from "@/domain/units";
import { isNothing, size, wayWords, sizeFigure } from "@/domain/words";
import { useBench } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Choice } from "@/ui/choice";
import { Of } from "@/ui/of";
import { say } from "@/words/generated/program";

/** A movement as it stands, plus up or right. */
export interface Shown {
  percent: number;
  mm: number | undefined;
  degrees: number | undefined;
}

interface Props {
  label: string;
  /** Whether the label is for screen readers alone: a heading says it already. */
  quiet?: boolean;
  /** What it belongs to, where several fields have one name. */
  of?: string;
  wish: Pick<WantedMovement, "kind" | "subject" | "surface" | "plusSide" | "pair" | "bothSides">;
  shown: Shown;
  /** Only the size is typed: which way it goes is the linkage's. */
  sized?: boolean;
}

/** As fine as a ruler. */
const PLACES = 1;
/** What a movement unit is of the core’s units: the same names. */
const shownTo = (unit: MovementUnit, value: number) =>
  unit === "MILLIMETRES" ? sizeFigure(value, PLACES) : size(value, PLACES);

const of = (shown: Shown, unit: MovementUnit) =>
  unit === "PERCENT" ? shown.percent : unit === "DEGREES" ? shown.degrees : shown.mm;

/** What they are called, in the reader’s own. */
export const movementUnits = () =>
  [
    [
      "MILLIMETRES",
      lengthUnit.now() === "in" ? say("movementField.inches") : say("movementField.millimetres"),
    ],
    ["DEGREES", say("movementField.degrees")],
    ["PERCENT", say("movementField.percent")],
  ] as const;

/** Chooses what movements are typed in, everywhere. */
export function UnitChoice() {
  const [unit, choose] = useMovementUnit();
  return (
    <div className="w-40">
      <Choice
        label={say("movementField.units")}
        value={unit}
        options={movementUnits()}
        onValue={choose}
      />
    </div>
  );
}

/** How far something goes: a size typed, a direction picked, the percent worked out. */
export function MovementField({
  label,
  quiet = false,
  of: whose,
  wish,
  shown,
  sized = false,
}: Props) {
  const { draft } = useModel();
  const worked = useWorked();
  const bench = useBench((state) => state.moment);
  const [unit] = useMovementUnit();
  const move = useMovement();
  const id = useId();
  const surface = draft.present.surfaces.find((one) => one.id === wish.surface);
  const [plus, minus] = wayWords(surface ?? false);
  const stands = of(shown, unit);
  const text =
    stands === undefined
      ? ""
      : sized && unit === "PERCENT"
        ? written(stands)
        : shownTo(unit, stands);
  const [entered, setEntered] = useState({ text, of: text, editing: false });
  // What is being typed stays, whatever is worked out anew meanwhile.
  const current = entered.editing || entered.of === text ? entered.text : text;
  const number = typedIn(unit, current);
  const wrong = current.trim() !== "" && !Number.isFinite(number);
  const [wanted, setWanted] = useState<boolean>();
  const drops = surface?.role === "FLAP" || surface?.role === "FLAPERON";
  const minusWay =
    wanted ?? (stands === undefined || isNothing(stands, PLACES) ? drops : stands < 0);
  const send = (down: boolean, value: number) => {
    void worked(
      move.mutateAsync({
        setup: draft.present,
        moment: bench,
        wish: { ...wish, value, minusWay: down, unit },
      }),
    ).then((done) => done && setWanted(undefined));
  };
  const take = () => {
    if (!wrong && current.trim() !== "" && current !== text) {
      send(minusWay, number);
    }
  };
  const turn = () => {
    const down = !minusWay;
    setWanted(down);
    if (stands !== undefined && !isNothing(stands, PLACES) && current === text) {
      send(down, number);
    }
  };
  return (
    <div className="min-w-0" data-movement={label}>
      <label htmlFor={id} className={quiet ? "sr-only" : "mb-0.5 block truncate text-sm text-soft"}>
        {label}
        <Of whose={whose} />
      </label>
      <div
        className={`flex items-center rounded-card border bg-sheet ${wrong || move.isError ? "border-2 border-grounded" : "border-line-strong"}`}
      >
        <input
          id={id}
          inputMode="decimal"
          className="figures h-8 w-full min-w-10 rounded-card bg-transparent pl-2 font-medium"
          value={current}
          placeholder={stands === undefined ? "–" : undefined}
          aria-invalid={wrong || move.isError}
          aria-describedby={`${id}-other`}
          onChange={(event) => {
            setEntered({ text: event.target.value, of: text, editing: true });
            move.reset();
          }}
          onBlur={() => {
            setEntered({ text: current, of: text, editing: false });
            take();
          }}
          onKeyDown={(event) => event.key === "Enter" && take()}
        />
        <span className="pr-1.5 text-xs text-soft">{unitSign(unit)}</span>
        {!sized && (
          <button
            type="button"
            className="h-8 min-w-12 rounded-r-card border-l border-line-strong bg-inset px-1.5 text-xs"
            aria-label={say("movementField.reverseIt", {
              label,
              minusWay: minusWay ? minus : plus,
            })}
            onClick={turn}
          >
            {minusWay ? minus : plus}
          </button>
        )}
      </div>
      <p
        id={`${id}-other`}
        role={wrong || move.isError ? "alert" : undefined}
        className={`figures mt-0.5 text-xs ${wrong || move.isError ? "font-medium text-grounded" : "text-soft"}`}
      >
        {wrong
          ? say("movementField.numbersOnly")
          : move.isError
            ? said(move.error)
            : movementUnit.values
                .filter((other) => other !== unit && of(shown, other) !== undefined)
                .map((other) => `${shownTo(other, of(shown, other) ?? 0)} ${unitSign(other)}`)
                .join(" · ")}
      </p>
    </div>
  );
}

/** What the server says of the one figure that was typed. */
const said = (error: Error) =>
  error instanceof ApiError && error.violations[0] !== undefined
    ? say("movementField.outOfReach", { requirement: error.violations[0].requirement })
    : error.message;

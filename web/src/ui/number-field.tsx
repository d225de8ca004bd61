import { shownIn, typedIn, unitSign } from "@/domain/units";
import { useId, useRef, useState } from "react";
import type { Field } from "@/api/queries";
import { Of } from "./of";
import { problemOf } from "./range";

interface Props {
  field: Field;
  value: number;
  /** A number being typed is one thing the pilot does: all of it carries the same gesture. */
  onValue: (value: number, gesture: string) => void;
  label?: string;
  /** What it belongs to, where several fields have one name. */
  of?: string | undefined;
}

/**
 * A number with its unit and range. What is typed stays as typed; only a legal value is handed on, and
 * a wrong one is refused right here.
 */
export function NumberField({ field, value, onValue, label, of }: Props) {
  const id = useId();
  const visits = useRef(0);
  const shown = (given: number) => shownIn(field.unit, given);
  const meant = (text: string) => typedIn(field.unit, text);
  const [typed, setTyped] = useState({ text: shown(value), of: value });
  const current = typed.of === value || meant(typed.text) === value;
  const text = current ? typed.text : shown(value);
  const problem = problemOf(field, text);
  const type = (entered: string) => {
    const legal = problemOf(field, entered) === undefined;
    setTyped({ text: entered, of: legal ? meant(entered) : value });
    if (legal && meant(entered) !== value) {
      onValue(meant(entered), `${id} ${visits.current}`);
    }
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="mb-0.5 block text-sm text-soft">
        {label ?? field.label}
        <Of whose={of} />
      </label>
      <div
        className={`flex items-center rounded-card border bg-sheet ${problem ? "border-2 border-grounded" : "border-line-strong"}`}
      >
        <input
          id={id}
          inputMode="decimal"
          className="figures h-9 w-full min-w-0 rounded-card bg-transparent px-2.5 font-medium"
          value={text}
          aria-invalid={problem !== undefined}
          aria-describedby={`${id}-help`}
          onFocus={() => {
            visits.current += 1;
          }}
          onChange={(event) => type(event.target.value)}
        />
        {field.unit !== "NONE" && (
          <span className="pr-2.5 text-sm whitespace-nowrap text-soft">{unitSign(field.unit)}</span>
        )}
      </div>
      <p
        id={`${id}-help`}
        role={problem ? "alert" : undefined}
        className={`mt-0.5 text-xs ${problem ? "font-medium text-grounded" : "text-soft"}`}
      >
        {problem ?? field.hint}
      </p>
    </div>
  );
}

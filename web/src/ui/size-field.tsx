import { typed, written } from "@/domain/reader";
import { useId, useState } from "react";
import { say } from "@/words/generated/ui";

interface Props {
  label: string;
  hint: string;
  value: number;
  /** What an empty field stands for; without it a field is never empty. */
  empty?: number;
  onValue: (value: number) => void;
}

/** A size that is typed whole and taken when the field is left; whether it is in range the server says. */
export function SizeField({ label, hint, value, empty, onValue }: Props) {
  const id = useId();
  const text = value === empty ? "" : written(value);
  const [entered, setEntered] = useState({ text, of: text, editing: false });
  // What is being typed stays, whatever is worked out anew meanwhile.
  const current = entered.editing || entered.of === text ? entered.text : text;
  const trimmed = current.trim();
  const number = trimmed === "" ? (empty ?? Number.NaN) : typed(trimmed);
  const wrong = !Number.isFinite(number) || number < 0;
  const take = () => {
    if (!wrong && trimmed !== text) {
      onValue(number);
    }
  };
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="mb-0.5 block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        inputMode="decimal"
        aria-invalid={wrong}
        aria-describedby={`${id}-hint`}
        className={`figures h-9 w-full rounded-card border bg-sheet px-2.5 font-medium ${wrong ? "border-2 border-grounded" : "border-line-strong"}`}
        value={current}
        onChange={(event) => setEntered({ text: event.target.value, of: text, editing: true })}
        onBlur={() => {
          setEntered({ text: current, of: text, editing: false });
          take();
        }}
        onKeyDown={(event) => event.key === "Enter" && take()}
      />
      <span
        id={`${id}-hint`}
        className={`text-xs ${wrong ? "font-medium text-grounded" : "text-soft"}`}
      >
        {wrong ? say("sizeField.zeroOrMore") : hint}
      </span>
    </div>
  );
}

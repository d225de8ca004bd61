import { lengthSign, lengthWritten, typed, typedLength, written } from "@/domain/reader";
import { useState } from "react";

interface Props {
  label: string;
  value: number;
  /** Whether it is a length, which the reader may want in inches. */
  length?: boolean;
  onValue: (value: number) => void;
}

/** A figure that is typed freely; whether it is in range the server says. */
export function PlainNumber({ label, value, length = false, onValue }: Props) {
  const [entered, setEntered] = useState<string>();
  return (
    <label className="block min-w-0 text-sm">
      <span className="mb-0.5 block text-soft">
        {label}
        {length && `, ${lengthSign()}`}
      </span>
      <input
        inputMode="decimal"
        className="figures h-9 w-full rounded-card border border-line-strong bg-sheet px-2.5"
        value={entered ?? (length ? lengthWritten(value) : written(value))}
        onBlur={() => setEntered(undefined)}
        onChange={(event) => {
          setEntered(event.target.value);
          const number = (length ? typedLength : typed)(event.target.value);
          if (Number.isFinite(number)) {
            onValue(number);
          }
        }}
      />
    </label>
  );
}

import { useState } from "react";

interface Props {
  label: string;
  value: number;
  onValue: (value: number) => void;
}

/** A figure that is typed freely; whether it is in range the server says. */
export function PlainNumber({ label, value, onValue }: Props) {
  const [typed, setTyped] = useState<string>();
  return (
    <label className="block min-w-0 text-sm">
      <span className="mb-0.5 block text-soft">{label}</span>
      <input
        inputMode="decimal"
        className="figures h-9 w-full rounded-card border border-line-strong bg-sheet px-2.5"
        value={typed ?? String(value)}
        onBlur={() => setTyped(undefined)}
        onChange={(event) => {
          setTyped(event.target.value);
          const number = Number(event.target.value.replace(",", "."));
          if (event.target.value.trim() !== "" && Number.isFinite(number)) {
            onValue(number);
          }
        }}
      />
    </label>
  );
}

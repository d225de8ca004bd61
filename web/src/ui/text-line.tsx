import type { ComponentProps } from "react";

interface Props extends Omit<ComponentProps<"input">, "onChange" | "value" | "width"> {
  label: string;
  value: string;
  onValue: (value: string) => void;
  /** Widths other than the whole line. */
  width?: string;
}

/** A labelled line of text, outside any draft. */
export function TextLine({ label, onValue, width = "w-full", ...input }: Props) {
  return (
    <label className="block min-w-0 text-sm">
      <span className="mb-0.5 block text-soft">{label}</span>
      <input
        maxLength={80}
        className={`h-9 ${width} rounded-card border border-line-strong bg-sheet px-2.5`}
        onChange={(event) => onValue(event.target.value)}
        {...input}
      />
    </label>
  );
}

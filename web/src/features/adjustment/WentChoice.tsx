import { useId } from "react";
import { say } from "@/words/generated/adjustment";

export type Went = "UP" | "DOWN" | "RIGHT" | "LEFT" | "SAME";

interface Props {
  label: string;
  plus: string;
  minus: string;
  /** For neither way. */
  same?: string;
  value: Went | undefined;
  onValue: (value: Went) => void;
}

/** Which way a trailing edge went: picked as a word, never typed as a sign. */
export function WentChoice({
  label,
  plus,
  minus,
  same = say("wentChoice.theSame"),
  value,
  onValue,
}: Props) {
  const name = useId();
  const ways = [
    [plus.toUpperCase() as Went, plus],
    [minus.toUpperCase() as Went, minus],
    ["SAME", same],
  ] as const;
  return (
    <fieldset className="flex h-9 items-center gap-3 text-base">
      <legend className="sr-only">{label}</legend>
      {ways.map(([way, words]) => (
        <label key={way} className="flex items-center gap-1.5">
          <input
            type="radio"
            name={name}
            className="size-5 accent-[var(--brand)]"
            checked={value === way}
            onChange={() => onValue(way)}
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}

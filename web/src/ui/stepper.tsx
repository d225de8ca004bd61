import { Minus, Plus } from "lucide-react";
import { useState } from "react";
import { typed, written } from "@/domain/reader";
import { say } from "@/words/generated/ui";

interface Props {
  label: string;
  words: string;
  value: number;
  min: number;
  max: number;
  large?: boolean;
  /** What is counted. */
  unit?: string;
  onValue: (value: number) => void;
}

/** Whole clicks by two buttons large enough for a thumb, and by typing. */
export function Stepper({
  label,
  words,
  value,
  min,
  max,
  large = false,
  unit = say("stepper.clicks"),
  onValue,
}: Props) {
  const [typing, setTyping] = useState<string | null>(null);
  const size = large ? "size-16" : "size-9";
  const step = (by: number) => {
    setTyping(null);
    onValue(Math.max(min, Math.min(max, value + by)));
  };
  const button = `${size} grid shrink-0 place-items-center rounded-card border border-line-strong bg-inset hover:bg-line disabled:opacity-40`;
  return (
    <div role="group" aria-label={label} className="flex items-center gap-2">
      <button
        type="button"
        className={button}
        aria-label={say("stepper.oneLess", { label })}
        disabled={value <= min}
        onClick={() => step(-1)}
      >
        <Minus aria-hidden size={large ? 28 : 16} />
      </button>
      <div className="min-w-0 flex-1 text-center">
        <input
          aria-label={`${label}, ${unit}`}
          className={`figures w-full min-w-0 rounded-card bg-transparent text-center font-semibold ${large ? "text-4xl" : "text-base"}`}
          inputMode="numeric"
          value={typing ?? written(value)}
          onBlur={() => setTyping(null)}
          onChange={(event) => {
            setTyping(event.target.value);
            const clicks = Math.trunc(typed(event.target.value || "0"));
            if (Number.isFinite(clicks)) {
              onValue(Math.max(min, Math.min(max, clicks)));
            }
          }}
        />
        <div className={`text-soft ${large ? "text-base" : "text-xs"}`} aria-live="polite">
          {words}
        </div>
      </div>
      <button
        type="button"
        className={button}
        aria-label={say("stepper.oneMore", { label })}
        disabled={value >= max}
        onClick={() => step(1)}
      >
        <Plus aria-hidden size={large ? 28 : 16} />
      </button>
    </div>
  );
}

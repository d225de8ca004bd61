import type { CheckAnswer } from "@/api/checks";

type Counted = Pick<CheckAnswer, "fadesFirst" | "fadesSecond" | "lostFrames" | "holds">;

export const NO_COUNTS: Counted = { fadesFirst: 0, fadesSecond: 0, lostFrames: 0, holds: 0 };

const ROWS = [
  ["fadesFirst", "Fades, first antenna"],
  ["fadesSecond", "Fades, second antenna"],
  ["lostFrames", "Lost frames"],
  ["holds", "Holds"],
] as const;

interface Props {
  value: Counted;
  onValue: (value: Counted) => void;
}

/** What the receiver counted, typed as it is read; a hold is the one that grounds. */
export function Counts({ value, onValue }: Props) {
  return (
    <div className="grid grid-cols-2 gap-3">
      {ROWS.map(([key, label]) => (
        <label key={key} className="block">
          <span className="mb-0.5 block text-base text-soft">{label}</span>
          <input
            inputMode="numeric"
            className={`figures h-12 w-full rounded-card border-2 bg-sheet px-3 text-xl ${key === "holds" && value.holds > 0 ? "border-grounded" : "border-line-strong"}`}
            value={value[key]}
            onChange={(event) => {
              const typed = Number.parseInt(event.target.value || "0", 10);
              if (Number.isFinite(typed) && typed >= 0) {
                onValue({ ...value, [key]: typed });
              }
            }}
          />
        </label>
      ))}
      {value.holds > 0 && (
        <p role="alert" className="col-span-2 font-medium text-grounded">
          A single hold grounds the model: move the antennas and check the range again.
        </p>
      )}
    </div>
  );
}

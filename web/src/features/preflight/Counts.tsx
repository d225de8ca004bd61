import type { CheckAnswer } from "@/api/checks";
import { say } from "@/words/generated/preflight";

type Counted = Pick<CheckAnswer, "fadesFirst" | "fadesSecond" | "lostFrames" | "holds">;

export const NO_COUNTS: Counted = {
  fadesFirst: null,
  fadesSecond: null,
  lostFrames: null,
  holds: null,
};

const ROWS = [
  ["fadesFirst", say("counts.firstAntenna")],
  ["fadesSecond", say("counts.secondAntenna")],
  ["lostFrames", say("counts.lostFrames")],
  ["holds", say("counts.holds")],
] as const;

interface Props {
  value: Counted;
  onValue: (value: Counted) => void;
}

/** Whether a hold was read. */
export const held = (value: Counted) => (value.holds ?? 0) > 0;

/** What the receiver counted, typed as it is read; what nobody read stays empty. A hold grounds. */
export function Counts({ value, onValue }: Props) {
  return (
    <div className="grid grid-cols-2 gap-3">
      {ROWS.map(([key, label]) => (
        <label key={key} className="block">
          <span className="mb-0.5 block text-base text-soft">{label}</span>
          <input
            inputMode="numeric"
            className={`figures h-12 w-full rounded-card border-2 bg-sheet px-3 text-xl ${key === "holds" && held(value) ? "border-grounded" : "border-line-strong"}`}
            value={value[key] ?? ""}
            onChange={(event) => {
              const text = event.target.value;
              const typed = text === "" ? null : Number.parseInt(text, 10);
              if (typed === null || (Number.isFinite(typed) && typed >= 0)) {
                onValue({ ...value, [key]: typed });
              }
            }}
          />
        </label>
      ))}
      {held(value) && (
        <p role="alert" className="col-span-2 font-medium text-grounded">
          {say("counts.holdGrounds")}
        </p>
      )}
    </div>
  );
}

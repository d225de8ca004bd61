import { CONTROL_KEYS, clickWords, controlName } from "@/domain/words";
import { Stepper } from "@/ui/stepper";
import { useBench, useBenchStore } from "./store";
import { say } from "@/words/generated/bench";

/** The trims of the bench, in clicks; they change nothing in the setup. */
export function TrimSteppers({ range }: { range: number }) {
  const store = useBenchStore();
  const trims = useBench((state) => state.moment.trims);
  return (
    <div className="grid grid-cols-3 gap-3">
      {CONTROL_KEYS.map((key) => (
        <div key={key}>
          <div className="text-center text-xs font-medium text-soft">
            {say("trimSteppers.trim", { controlName: controlName(key) })}
          </div>
          <Stepper
            label={say("trimSteppers.trim", { controlName: controlName(key) })}
            words={clickWords(key, trims[key])}
            value={trims[key]}
            min={-range}
            max={range}
            onValue={(clicks) => store.move({ trims: { ...trims, [key]: clicks } })}
          />
        </div>
      ))}
    </div>
  );
}

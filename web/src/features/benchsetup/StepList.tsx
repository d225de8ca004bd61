import { Fold } from "@/ui/fold";
import { type OpenSetUp } from "@/api/rig";
import { say } from "@/words/generated/benchsetup";

/** Why a step is not gone to yet; undefined for one that is open. */
export const barred = (open: OpenSetUp, at: number) =>
  open.barred.find((one) => one.step === open.steps[at]?.id)?.why;

/** Every step of the set-up, and how each stands. */
export function StepList({ open, onGo }: { open: OpenSetUp; onGo: (to: number) => void }) {
  return (
    <Fold
      className="rounded-card border border-line bg-sheet p-3 text-sm"
      title={<span className="font-semibold">{say("guidedStep.allSteps")}</span>}
    >
      <ol className="mt-2 max-h-80 overflow-auto">
        {open.steps.map((step, i) => {
          const verdict = open.verdicts.find((one) => one.step === step.id);
          const answered = open.answers.some((one) => one.step === step.id);
          const look = verdict !== undefined && !verdict.agrees;
          const mark = look
            ? "look"
            : verdict !== undefined || answered
              ? "done"
              : open.again.includes(step.id)
                ? "again"
                : "";
          return (
            <li key={step.id}>
              <button
                type="button"
                className={`flex w-full justify-between gap-2 rounded-card px-2 py-0.5 text-left hover:bg-inset disabled:text-soft ${i === open.step ? "font-semibold" : ""}`}
                disabled={barred(open, i) !== undefined}
                onClick={() => onGo(i)}
              >
                <span>{step.title}</span>
                <span className={look ? "text-grounded" : "text-done"}>
                  {say("guidedStep.mark", { mark })}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </Fold>
  );
}

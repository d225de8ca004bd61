import { TriedMend } from "@/features/model/TriedMend";
import { useSetUpMends, type StepResult } from "@/api/rig";
import { useModel } from "@/features/model/model";
import { say } from "@/words/generated/benchsetup";

/** What an answer means, with what mends it. */
export function StepVerdict({ verdict }: { verdict: StepResult }) {
  return (
    <div
      role="status"
      data-verdict={verdict.asks ? "asks" : verdict.agrees ? "agrees" : "differs"}
      className={`mt-5 border-l-4 bg-inset px-4 py-3 text-lg ${verdict.agrees ? "border-done" : "border-tag"}`}
    >
      <p className="font-medium">{verdict.words}</p>
      <Mends step={verdict.step} />
    </div>
  );
}

/** What goes with an answer, once it was tried. */
function Mends({ step }: { step: string }) {
  const { standing } = useModel();
  const mends = useSetUpMends(standing.id, step);
  if (mends.data === undefined) {
    return (
      <p className="text-base text-soft">
        {mends.isError ? say("guidedStep.changeNotTried") : say("guidedStep.tryingChange")}
      </p>
    );
  }
  return mends.data.map((mend) => <TriedMend key={mend.words} mend={mend} />);
}

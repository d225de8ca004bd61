import { useConfirmation, useLearn } from "@/api/queries";
import { controlName, keyOf, type Control } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";

/** What the first flight after an adjustment says, against the prediction. */
export function ConfirmationCard() {
  const { standing, draft } = useModel();
  const said = useConfirmation(standing.id);
  const learn = useLearn(standing.id);
  const lines = said.data?.flatMap((phase) =>
    phase.controls.map((one) => ({ ...one, phase: phase.name })),
  );
  if (lines === undefined || lines.length === 0) {
    return null;
  }
  const step = draft.present.transmitter.clickStepPercent;
  const basedOn = standing.newest.number;
  return (
    <Card title="Does the flight confirm the adjustment?" className="mx-auto mb-3 max-w-4xl">
      <ul className="space-y-2" data-confirmation>
        {lines.map((one) => {
          const learned = one.learnedClickPercent;
          const arms = one.learnedArms;
          return (
            <li key={one.phase + one.control} className="border-b border-line pb-2 last:border-0">
              <strong className={one.done ? "text-done" : "text-grounded"}>
                {one.phase}, {controlName(keyOf(one.control as Control)).toLowerCase()}:{" "}
                {one.done ? "done" : "second round"}.
              </strong>{" "}
              <span>{one.words}</span>
              <span className="mt-1 flex flex-wrap gap-2 empty:hidden">
                {learned != null && learned !== step && (
                  <Button
                    disabled={learn.isPending}
                    onClick={() =>
                      learn.mutate({
                        basedOn,
                        clickStepPercent: learned,
                        arms: [],
                      })
                    }
                  >
                    Reckon with {learned.toFixed(2)} % a click
                  </Button>
                )}
                {arms.length > 0 && (
                  <Button
                    disabled={learn.isPending}
                    onClick={() =>
                      learn.mutate({
                        basedOn,
                        clickStepPercent: step,
                        arms: arms.map((arm) => ({
                          surface: arm.surface,
                          armRadiusMm: arm.learnedMm,
                        })),
                      })
                    }
                  >
                    Reckon with an arm of{" "}
                    {arms
                      .map((arm) => `${arm.learnedMm.toFixed(1)} mm (${arm.name.toLowerCase()})`)
                      .join(", ")}
                  </Button>
                )}
              </span>
            </li>
          );
        })}
      </ul>
      {learn.isError && <Failure error={learn.error} />}
    </Card>
  );
}

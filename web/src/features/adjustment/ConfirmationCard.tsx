import { useConfirmation } from "@/api/queries";
import { controlName, keyOf, type Control } from "@/domain/words";
import { useModel } from "@/features/aircraft/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";

/** What the first flight after an adjustment says, against the prediction. */
export function ConfirmationCard() {
  const { standing, draft, change } = useModel();
  const said = useConfirmation(standing.id);
  const lines = said.data?.flatMap((phase) =>
    phase.controls.map((one) => ({ ...one, phase: phase.name })),
  );
  if (lines === undefined || lines.length === 0) {
    return null;
  }
  const step = draft.present.transmitter.clickStepPercent;
  return (
    <Card title="Does the flight confirm the adjustment?" className="mx-auto mb-3 max-w-4xl">
      <ul className="space-y-2" data-confirmation>
        {lines.map((one) => {
          const learned = one.learnedClickPercent;
          return (
            <li key={one.phase + one.control} className="flex flex-wrap items-center gap-2">
              <strong className={one.done ? "text-done" : "text-grounded"}>
                {one.phase}, {controlName(keyOf(one.control as Control)).toLowerCase()}:{" "}
                {one.done ? "done" : "second round"}
              </strong>
              <span className="flex-1">{one.words}</span>
              {!one.done && learned != null && Math.abs(learned - step) > 0.005 && (
                <Button
                  onClick={() =>
                    change({
                      type: "edit",
                      path: ["transmitter", "clickStepPercent"],
                      value: Math.round(learned * 100) / 100,
                    })
                  }
                >
                  Reckon with {learned.toFixed(2)} % a click
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </Card>
  );
}

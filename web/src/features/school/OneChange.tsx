import { useMoveOne, type SchoolSheet, type SchoolTest } from "@/api/school";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/school";

/** The change and its size: one lever, one step either way. */
export function OneChange({
  sheet,
  test,
  onDone,
}: {
  sheet: SchoolSheet;
  test: SchoolTest;
  onDone: () => void;
}) {
  const move = useMoveOne(sheet.id);
  return (
    <Card title={say("oneChange.title")} className="border-l-4 border-l-tag">
      <p className="mb-2 text-sm text-soft">{say("oneChange.asked")}</p>
      {test.levers.map((lever) => {
        return (
          <div key={lever.lever} className="border-t border-line py-2">
            <p className="figures font-medium">
              {lever.name}: {lever.stands}
            </p>
            <p className="mb-1 text-sm text-soft">{lever.plus}</p>
            <div className="flex flex-wrap gap-2">
              {lever.moves.map((by) => (
                <Button
                  key={by}
                  disabled={move.isPending}
                  onClick={() =>
                    move.mutate({ ...test.test, lever: lever.lever, by }, { onSuccess: onDone })
                  }
                >
                  {by > 0 ? `+${by}` : String(by).replace("-", "−")}
                </Button>
              ))}
            </div>
          </div>
        );
      })}
      {move.isError && <Failure error={move.error} />}
    </Card>
  );
}

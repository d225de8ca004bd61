import { Undo2 } from "lucide-react";
import { useMade, useMadeBack } from "@/api/history";
import { day } from "@/domain/words";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/aircraft";

const WHERE = {
  TRANSMITTER: say("changesMadeCard.inTransmitter"),
  MODEL: say("changesMadeCard.atModel"),
} as const;

/** What was really changed, from what to what: typed into the transmitter or done at the model. */
export function ChangesMadeCard({ id }: { id: number }) {
  const made = useMade(id);
  const back = useMadeBack(id);
  if (made.data === undefined || made.data.length === 0) {
    return made.isError ? <Failure error={made.error} /> : null;
  }
  return (
    <Card title={say("changesMadeCard.changesMade")}>
      <p className="mb-2 text-sm text-soft">{say("changesMadeCard.whenMade")}</p>
      {back.isError && <Failure error={back.error} />}
      <ol className="text-sm">
        {made.data.map((one) => (
          <li
            key={one.where + String(one.id)}
            data-made={one.where}
            className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line py-2 first:border-0"
          >
            <div className="min-w-0 grow">
              <p className="first-letter:uppercase">{one.what}</p>
              <p className="figures">
                {one.before !== "" && <span className="text-soft">{one.before} → </span>}
                <strong>{one.after}</strong>
              </p>
              <p className="text-soft">
                {WHERE[one.where]}, {day(one.at)}
              </p>
            </div>
            {one.back && (
              <Button
                look="quiet"
                disabled={back.isPending}
                onClick={() => back.mutate({ where: one.where, change: one.id })}
              >
                <Undo2 aria-hidden size={16} /> {say("changesMadeCard.changedBack")}
              </Button>
            )}
          </li>
        ))}
      </ol>
    </Card>
  );
}

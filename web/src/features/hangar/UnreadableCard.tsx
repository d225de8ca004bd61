import { usePut } from "@/api/places";
import { useTryAgain, type UnreadableModel } from "@/api/queries";
import { Button, buttonClass } from "@/ui/button";
import { Fold } from "@/ui/fold";
import { Failure, Violations } from "@/ui/message";
import { say } from "@/words/generated/hangar";

/** So many faults are told at once: one column that cannot be read has one in every row. */
const SHOWN = 3;

/** A model of which something stored cannot be read: what it is, and what can be done. */
export function UnreadableCard({ model }: { model: UnreadableModel }) {
  const put = usePut();
  const again = useTryAgain();
  const more = model.faults.slice(SHOWN);
  return (
    <article className="h-full space-y-2 rounded-card border border-line border-l-4 border-l-grounded bg-sheet px-4 py-3">
      <h2 className="text-lg">{model.name}</h2>
      <p>{say("unreadableCard.cannotBeRead")}</p>
      <Violations of={model.faults.slice(0, SHOWN)} />
      {more.length > 0 && (
        <Fold title={say("unreadableCard.more", { more: more.length })}>
          <Violations of={more} />
        </Fold>
      )}
      <p className="text-sm text-soft">{say("unreadableCard.whatToDo")}</p>
      <div className="flex flex-wrap gap-2">
        <a href={`/api/archive/models/${model.id}`} download className={buttonClass("plain")}>
          {say("unreadableCard.save")}
        </a>
        <Button onClick={again}>{say("unreadableCard.tryAgain")}</Button>
        <Button
          disabled={put.isPending}
          onClick={() => put.mutate({ id: model.id, place: "DELETED" })}
        >
          {say("unreadableCard.delete")}
        </Button>
      </div>
      {put.isError && <Failure error={put.error} />}
    </article>
  );
}

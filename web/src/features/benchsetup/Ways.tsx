import { useEffect, useId } from "react";
import { ApiError } from "@/api/client";
import {
  useWays,
  useWaysAgain,
  useWaysBack,
  useWaysLook,
  useWaysMended,
  type ProbeTold,
} from "@/api/rig";
import { useBenchStore } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { isChanged } from "@/domain/draft";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { say } from "@/words/generated/benchsetup";
import { LookSeen } from "./LookSeen";

type Told = NonNullable<ProbeTold["next"]>;

const CONFLICT = 409;

/** The bench stands as the model must, while it is looked at. */
function useDrawn(told: Told | null | undefined) {
  const bench = useBenchStore();
  const there = told?.look.there;
  const rest = told?.look.rest;
  useEffect(() => {
    if (there !== undefined && rest !== undefined) {
      bench.move(there);
      return () => bench.move(rest);
    }
    return undefined;
  }, [bench, there, rest]);
}

interface Shown {
  /** Of the set-up it belongs to. */
  version: number;
  /** How it is done, said until the first look is answered. */
  how: string;
  onConflict: () => void;
}

/** Finding out what the rig is: one look after the other, then what to change. */
export function Ways({ version, how, onConflict }: Shown) {
  const { standing } = useModel();
  const asked = useWays(standing.id);
  const look = useWaysLook(standing.id);
  const back = useWaysBack(standing.id);
  const again = useWaysAgain(standing.id);
  const mended = useWaysMended(standing.id);
  const next = asked.data?.told.next;
  useDrawn(next);
  const changes = [look, back, again, mended];
  const busy = changes.some((one) => one.isPending);
  // Another page went on: what it left is shown, and what was picked here stays.
  const late = {
    onError: (error: Error) => {
      if (error instanceof ApiError && error.status === CONFLICT) {
        void asked.refetch();
        onConflict();
      }
    },
  };
  if (asked.data === undefined) {
    return asked.isError ? (
      <Failure error={asked.error} />
    ) : (
      <Waiting what={say("ways.nextLook")} />
    );
  }
  const { told, revision, seen } = asked.data;
  return (
    <>
      {seen === 0 && <p className="mb-3 text-soft">{how}</p>}
      <p
        role="status"
        className={told.stage === "LOOKING" ? "sr-only" : "text-xl font-medium"}
        data-ways={told.stage}
      >
        {told.words}
      </p>
      {next != null && (
        <LookSeen
          key={`${next.look.id}.${seen}`}
          told={next}
          seen={seen}
          busy={busy}
          onSeen={(answer) => look.mutate({ version, answer }, late)}
        />
      )}
      <Changes
        told={told}
        busy={busy}
        onTake={() =>
          mended.mutate(
            { version, basedOn: revision },
            // It says itself what it is refused for: a revision made meanwhile, or open work.
            { onError: () => void asked.refetch() },
          )
        }
      />
      {changes.map((one, i) => one.isError && <Failure key={i} error={one.error} />)}
      <div className="mt-6 flex flex-wrap gap-3">
        <Button disabled={seen === 0 || busy} onClick={() => back.mutate({ version }, late)}>
          {say("ways.back")}
        </Button>
        <Button disabled={seen === 0 || busy} onClick={() => again.mutate({ version }, late)}>
          {say("ways.again")}
        </Button>
        {next != null && told.open > 0 && (
          <span className="figures self-center text-soft">
            {say("ways.open", { count: told.open })}
          </span>
        )}
      </div>
    </>
  );
}

/** What is changed and what is noted with it. */
function Changes({ told, busy, onTake }: { told: ProbeTold; busy: boolean; onTake: () => void }) {
  const { draft } = useModel();
  const why = useId();
  if (told.stage !== "MENDING") {
    return null;
  }
  const unsaved = isChanged(draft);
  const lists = [
    [say("ways.changes"), told.changes],
    [say("ways.notes"), told.notes],
  ] as const;
  return (
    <>
      {lists.map(
        ([title, list]) =>
          list.length > 0 && (
            <Card key={title} title={title} className="mt-4">
              <ul className="ml-5 list-disc text-xl">
                {list.map((one) => (
                  <li key={one.words}>{one.words}</li>
                ))}
              </ul>
            </Card>
          ),
      )}
      <Button
        look="main"
        large
        className="mt-4"
        disabled={busy || unsaved}
        aria-describedby={unsaved ? why : undefined}
        onClick={onTake}
      >
        {say("ways.done")}
      </Button>
      {unsaved && (
        <p id={why} role="note" className="mt-2 text-soft">
          {say("ways.unsaved")}
        </p>
      )}
    </>
  );
}

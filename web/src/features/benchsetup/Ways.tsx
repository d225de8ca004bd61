import { useEffect } from "react";
import { useProbe, useProbeMended, type LookAnswer, type ProbeTold } from "@/api/rig";
import { AircraftViews } from "@/features/bench/AircraftViews";
import { useBenchStore } from "@/features/bench/store";
import { useHasMotor, useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { say } from "@/words/generated/benchsetup";
import { useKeptLooks } from "./kept-looks";
import { LookSeen } from "./LookSeen";

type Told = NonNullable<ProbeTold["next"]>;

/** The model drawn as it must look, while it is looked at. */
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

/** Finding out what the rig is: one look after the other, then what to change. */
export function Ways({ onLeave }: { onLeave: () => void }) {
  const { standing, draft, change } = useModel();
  const setup = draft.present;
  const motor = useHasMotor();
  const looks = useKeptLooks(standing.id, setup);
  const told = useProbe(setup, looks.answers);
  const mended = useProbeMended();
  const next = told.data?.next;
  useDrawn(next);
  const take = () =>
    mended.mutate(
      { setup, answers: looks.answers },
      {
        onSuccess: (made) => {
          change({ type: "replace", from: setup, setup: made.setup });
          looks.put(made.answers, made.setup);
        },
      },
    );
  const answer = (given: LookAnswer) =>
    looks.put([...looks.answers.filter((one) => one.look !== given.look), given], setup);
  const busy = told.isPlaceholderData || mended.isPending;
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="rounded-card border border-line bg-sheet p-6">
        {motor && <Caution>{say("setUpPage.safety")}</Caution>}
        {looks.changed && (
          <p role="note" className="mt-3 border-l-4 border-tag bg-inset px-4 py-2">
            {say("ways.changed")}
          </p>
        )}
        {told.isError && <Failure error={told.error} />}
        {told.data === undefined && !told.isError && <Waiting what={say("ways.nextLook")} />}
        {told.data !== undefined && (
          <p role="status" className="mt-4 text-lg font-medium" data-ways={told.data.stage}>
            {told.data.words}
          </p>
        )}
        {next != null && (
          <LookSeen
            key={`${next.look.id}.${looks.answers.length}`}
            told={next}
            busy={busy}
            onSeen={answer}
          />
        )}
        {told.data !== undefined && <Changes told={told.data} busy={busy} onTake={take} />}
        {mended.isError && <Failure error={mended.error} />}
        <div className="mt-6 flex flex-wrap gap-3">
          <Button
            disabled={looks.answers.length === 0 || busy}
            onClick={() => looks.put(looks.answers.slice(0, -1), setup)}
          >
            {say("ways.back")}
          </Button>
          <Button disabled={busy} onClick={() => looks.put([], setup)}>
            {say("ways.again")}
          </Button>
          <Button onClick={onLeave}>{say("ways.leave")}</Button>
          {next != null && told.data !== undefined && told.data.open > 0 && (
            <span className="figures self-center text-soft">
              {say("ways.open", { count: told.data.open })}
            </span>
          )}
        </div>
      </div>
      <AircraftViews compact />
    </div>
  );
}

/** What is changed and what is noted with it. */
function Changes({ told, busy, onTake }: { told: ProbeTold; busy: boolean; onTake: () => void }) {
  if (told.stage !== "MENDING") {
    return null;
  }
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
              <ul className="ml-5 list-disc text-lg">
                {list.map((one) => (
                  <li key={one.words}>{one.words}</li>
                ))}
              </ul>
            </Card>
          ),
      )}
      <Button look="main" large className="mt-4" disabled={busy} onClick={onTake}>
        {say("ways.done")}
      </Button>
    </>
  );
}

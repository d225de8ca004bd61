import { useEffect, useMemo, useReducer, useState } from "react";
import { Link, Outlet, useParams } from "react-router";
import { ApiError } from "@/api/client";
import { readSetupFile, useStanding, type Standing } from "@/api/queries";
import { useStory } from "@/api/history";
import { adopted, isChanged, keepDraft, keptDraft, reduceDraft, type Draft } from "@/domain/draft";
import { keep, kept } from "@/domain/storage";
import { useGamepad } from "@/features/bench/gamepad";
import { BenchContext, BenchStore } from "@/features/bench/store";
import { usePut } from "@/api/places";
import { Button, buttonClass } from "@/ui/button";
import { Failure, Waiting } from "@/ui/message";
import { useShortcut } from "@/ui/shortcuts";
import { DraftBar } from "./DraftBar";
import { LoopNav } from "./LoopNav";
import { FieldReady } from "@/features/model/FieldReady";
import { ModelContext } from "@/features/model/model";
import { Say, say } from "@/words/generated/aircraft";

/** Everything about one model, with its bench and its draft. */
export function ModelLayout() {
  const id = Number(useParams().id);
  const standing = useStanding(id);
  if (standing.isError && standing.data === undefined) {
    return <NoModel error={standing.error} />;
  }
  return standing.data === undefined ? (
    <Waiting what={say("modelLayout.theModel")} />
  ) : (
    <LoadedModel key={id} standing={standing.data} />
  );
}

/** A model that is not there, or a program that does not answer: said, with a way on. */
function NoModel({ error }: { error: Error }) {
  return (
    <div className="mx-auto mt-6 max-w-xl space-y-3 px-4">
      <h1 className="text-xl">
        {error instanceof ApiError && error.status === 404
          ? say("modelLayout.noSuchModel")
          : say("modelLayout.notLoaded")}
      </h1>
      <Failure error={error} />
      <Link to="/" className={buttonClass("main")}>
        {say("modelLayout.toTheHangar")}
      </Link>
    </div>
  );
}

function LoadedModel({ standing }: { standing: Standing }) {
  const newest = standing.newest;
  const [phone] = useState(() => matchMedia("(max-width: 640px)").matches);
  const [found] = useState(() => keptDraft(standing.id));
  const draftKept = found.state === "kept" ? found.value : undefined;
  const older =
    draftKept !== undefined && draftKept.present.formatVersion !== newest.setup.formatVersion
      ? draftKept
      : undefined;
  const [draft, change] = useReducer(reduceDraft, undefined, (): Draft => {
    const fresh = { basedOn: newest.number, present: newest.setup, past: [], future: [] };
    return older === undefined ? (draftKept ?? fresh) : fresh;
  });
  useEffect(() => {
    // A draft from an older High Tally is brought up to date by the program before it is shown.
    if (older !== undefined) {
      void readSetupFile(JSON.stringify(older.present)).then((setup) =>
        change({ type: "replace", from: newest.setup, setup }),
      );
    }
  }, [older, newest.setup]);
  useEffect(() => {
    if (older === undefined || isChanged(draft)) {
      keepDraft(standing.id, draft);
      adopted();
    }
  }, [standing.id, draft, older]);
  useEffect(() => {
    if (!isChanged(draft) && draft.future.length === 0 && draft.basedOn !== newest.number) {
      change({ type: "restart", basedOn: newest.number, setup: newest.setup });
    }
  }, [draft, newest]);
  useShortcut("undo", () => change({ type: "undo" }));
  useShortcut("redo", () => change({ type: "redo" }));
  const bench = useMemo(() => {
    const key = `high-tally.chosen.${standing.id}`;
    const before = kept(key, (value): value is string => typeof value === "string");
    const chosen = before.state === "kept" ? before.value : "";
    return new BenchStore(chosen, (surface) => void keep(key, surface));
  }, [standing.id]);
  useEffect(() => {
    bench.open();
    return () => bench.close();
  }, [bench]);
  useEffect(() => {
    bench.load(draft.present);
  }, [bench, draft.present]);
  const stands = useStory(standing.id).data?.trims.phases.at(-1)?.trims;
  useEffect(() => {
    bench.move({ trims: stands ?? newest.setup.trims });
  }, [bench, newest, stands]);
  const model = useMemo(() => ({ standing, draft, change }), [standing, draft]);
  return (
    <ModelContext value={model}>
      <BenchContext value={bench}>
        {phone && <FieldReady model={standing.id} />}
        <GameController mode={draft.present.transmitter.stickMode} />
        <LoopNav />
        <div className="mx-auto max-w-[1400px] space-y-3 p-4">
          {standing.place !== "IN_USE" && <PutAwayNote standing={standing} />}
          <DraftBar broken={found.state === "broken"} />
          {draft.present.notebook.rolesFromNames && (
            <p role="note" className="no-print border-l-4 border-tag bg-sheet px-4 py-2">
              <Say
                id="modelLayout.rolesGuessed"
                values={{
                  link: (words) => (
                    <Link className="underline" to={`/models/${standing.id}/rig/airframe`}>
                      {words}
                    </Link>
                  ),
                }}
              />
            </p>
          )}
          <Outlet />
        </div>
      </BenchContext>
    </ModelContext>
  );
}

/** That a model is not in the hangar's list, and the way back. */
function PutAwayNote({ standing }: { standing: Standing }) {
  const put = usePut();
  return (
    <div role="note" className="no-print border-l-4 border-grounded bg-sheet px-4 py-2">
      {standing.place === "DELETED"
        ? `${say("modelLayout.deleted")} `
        : `${say("modelLayout.archived")} `}
      <Button
        look="quiet"
        disabled={put.isPending}
        onClick={() => put.mutate({ id: standing.id, place: "IN_USE" })}
      >
        {say("modelLayout.restore")}
      </Button>
      {put.isError && <Failure error={put.error} />}
    </div>
  );
}

function GameController({ mode }: { mode: number }) {
  useGamepad(mode);
  return null;
}

import { useEffect, useMemo, useReducer, useState } from "react";
import { Outlet, useParams } from "react-router";
import { readSetupFile, useStanding, type Standing } from "@/api/queries";
import { keepDraft, keptDraft, reduceDraft } from "@/domain/draft";
import { useGamepad } from "@/features/bench/gamepad";
import { BenchContext, BenchStore } from "@/features/bench/store";
import { Failure, Waiting } from "@/ui/message";
import { DraftBar } from "./DraftBar";
import { LoopNav } from "./LoopNav";
import { ModelContext } from "./model";

/** Everything about one model, with its bench and its draft. */
export function ModelLayout() {
  const id = Number(useParams().id);
  const standing = useStanding(id);
  if (standing.isError) {
    return <Failure error={standing.error} />;
  }
  return standing.data === undefined ? (
    <Waiting what="the model" />
  ) : (
    <LoadedModel key={id} standing={standing.data} />
  );
}

function LoadedModel({ standing }: { standing: Standing }) {
  const newest = standing.newest;
  const [kept] = useState(() => keptDraft(standing.id));
  const older =
    kept !== undefined && kept.present.formatVersion !== newest.setup.formatVersion
      ? kept
      : undefined;
  const [draft, change] = useReducer(reduceDraft, undefined, () => {
    const fresh = { basedOn: newest.number, present: newest.setup, past: [], future: [] };
    return older === undefined ? (kept ?? fresh) : fresh;
  });
  useEffect(() => {
    // A draft from an older High Tally is brought up to date by the program before it is shown.
    if (older !== undefined) {
      void readSetupFile(JSON.stringify(older.present)).then((setup) =>
        change({ type: "replace", setup }),
      );
    }
  }, [older]);
  useEffect(() => {
    if (older === undefined || draft.past.length > 0) {
      keepDraft(standing.id, draft);
    }
  }, [standing.id, draft, older]);
  useEffect(() => {
    if (draft.past.length === 0 && draft.future.length === 0 && draft.basedOn !== newest.number) {
      change({ type: "restart", basedOn: newest.number, setup: newest.setup });
    }
  }, [draft, newest]);
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement;
      if (!typing && (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z") {
        event.preventDefault();
        change({ type: event.shiftKey ? "redo" : "undo" });
      }
    };
    addEventListener("keydown", key);
    return () => removeEventListener("keydown", key);
  }, []);
  const bench = useMemo(() => new BenchStore(), []);
  useEffect(() => {
    bench.open();
    return () => bench.close();
  }, [bench]);
  useEffect(() => {
    bench.load(draft.present);
  }, [bench, draft.present]);
  useEffect(() => {
    bench.move({ trims: newest.setup.trims });
  }, [bench, newest]);
  const model = useMemo(() => ({ standing, draft, change }), [standing, draft]);
  return (
    <ModelContext value={model}>
      <BenchContext value={bench}>
        <GameController mode={draft.present.transmitter.stickMode} />
        <LoopNav />
        <div className="mx-auto max-w-[1400px] space-y-3 p-4">
          <DraftBar />
          <Outlet />
        </div>
      </BenchContext>
    </ModelContext>
  );
}

function GameController({ mode }: { mode: number }) {
  useGamepad(mode);
  return null;
}

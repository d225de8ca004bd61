import { Redo2, Undo2 } from "lucide-react";
import { useState } from "react";
import { useRevise } from "@/api/queries";
import { useBench } from "@/features/bench/store";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { DifferenceList } from "./DifferenceList";
import { useModel } from "./model";

/** Unsaved changes: undo, redo, why, save. Shown only when there are any. */
export function DraftBar() {
  const { standing, draft, change } = useModel();
  const [reason, setReason] = useState("");
  const revise = useRevise(standing.id);
  const refused = useBench((state) => state.refused);
  const connected = useBench((state) => state.connected);
  const changed = draft.past.length > 0;
  if (!changed && draft.future.length === 0) {
    return connected ? null : <Disconnected />;
  }
  const save = () =>
    revise.mutate(
      { basedOn: draft.basedOn, reason: reason.trim(), setup: draft.present },
      {
        onSuccess: (made) => {
          change({ type: "restart", basedOn: made.number, setup: made.setup });
          setReason("");
        },
      },
    );
  const restart = () =>
    change({ type: "restart", basedOn: standing.newest.number, setup: standing.newest.setup });
  return (
    <div className="no-print space-y-2 rounded-card border border-line-strong bg-sheet px-4 py-2">
      {!connected && <Disconnected />}
      <form
        className="flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <span className="font-medium" role="status">
          {draft.past.length} unsaved {draft.past.length === 1 ? "change" : "changes"}
        </span>
        <Button look="quiet" onClick={() => change({ type: "undo" })} disabled={!changed}>
          <Undo2 aria-hidden size={16} /> Undo
        </Button>
        <Button
          look="quiet"
          onClick={() => change({ type: "redo" })}
          disabled={draft.future.length === 0}
        >
          <Redo2 aria-hidden size={16} /> Redo
        </Button>
        <input
          aria-label="Why this change"
          placeholder="Why this change?"
          maxLength={300}
          required
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          className="h-9 min-w-40 flex-1 rounded-card border border-line-strong bg-sheet px-2.5"
        />
        <Button
          type="submit"
          look="main"
          disabled={!changed || revise.isPending || refused.length > 0}
        >
          Save as revision {standing.newest.number + 1}
        </Button>
      </form>
      {refused.length > 0 && (
        <p role="alert" className="text-grounded">
          {refused
            .map((one) => `${one.field} is ${one.value}; it must be ${one.requirement}.`)
            .join(" ")}
        </p>
      )}
      {revise.isError && <Failure error={revise.error} />}
      {draft.basedOn !== standing.newest.number && (
        <details className="rounded-card border border-line bg-sheet p-3">
          <summary className="cursor-pointer font-medium">
            What differs between revision {standing.newest.number} and yours
          </summary>
          <DifferenceList
            before={standing.newest.setup}
            after={draft.present}
            beforeName={`Revision ${standing.newest.number}`}
            afterName="Yours"
          />
        </details>
      )}
      {draft.basedOn !== standing.newest.number && (
        <p role="alert" className="flex flex-wrap items-center gap-2">
          These changes were made on revision {draft.basedOn}, and revision {standing.newest.number}{" "}
          has been saved since. They are kept here until you drop them.
          <Button look="warn" onClick={restart}>
            Drop them and start from revision {standing.newest.number}
          </Button>
          <Button onClick={() => change({ type: "rebase", basedOn: standing.newest.number })}>
            Keep mine and save over it as the next
          </Button>
        </p>
      )}
    </div>
  );
}

function Disconnected() {
  return (
    <p role="alert" className="text-grounded">
      The bench has lost its connection to the program and tries again every second. Nothing you
      typed is lost.
    </p>
  );
}

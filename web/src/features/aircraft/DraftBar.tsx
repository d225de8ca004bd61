import { Fold } from "@/ui/fold";
import { Redo2, Undo2 } from "lucide-react";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { useRevise } from "@/api/queries";
import { useAway } from "@/api/reach";
import { isChanged, useDraftStorage } from "@/domain/draft";
import { useBench } from "@/features/bench/store";
import { Button } from "@/ui/button";
import { useFocusOn } from "@/ui/focus";
import { emptySent, Form } from "@/ui/form";
import { DifferenceList } from "@/features/model/DifferenceList";
import { useModel } from "@/features/model/model";
import { say } from "@/words/generated/aircraft";

interface Props {
  /** Whether what was kept from last time could not be read. */
  broken: boolean;
}

/** What this browser could not keep, and what to do. */
const STORED = {
  "without steps": say("draftBar.storageWithoutSteps"),
  "in this tab": say("draftBar.storageInTab"),
  nothing: say("draftBar.storageNone"),
} as const;

/** Unsaved changes: undo, redo, why, save. Shown only when there are any. */
export function DraftBar({ broken }: Props) {
  const storage = useDraftStorage();
  const { standing, draft, change } = useModel();
  const form = useForm({ defaultValues: { reason: "" } });
  const revise = useRevise(standing.id);
  const refused = useBench((state) => state.refused);
  const connected = useBench((state) => state.connected);
  const changed = isChanged(draft);
  const [saved, setSaved] = useState(0);
  const said = useFocusOn<HTMLParagraphElement>(saved, true);
  if (!changed && draft.future.length === 0) {
    return (
      <>
        {!connected && <Disconnected />}
        {broken && (
          <p role="alert" className="border-l-4 border-grounded bg-inset px-4 py-2">
            {say("draftBar.unreadable")}
          </p>
        )}
        <p
          ref={said}
          tabIndex={-1}
          role="status"
          className={saved === 0 ? "sr-only" : "no-print text-sm text-done"}
        >
          {saved > 0 && say("draftBar.saved", { saved })}
        </p>
      </>
    );
  }
  const save = (filled: { reason: string }) =>
    revise.mutate(
      {
        basedOn: draft.basedOn,
        reason: filled.reason.trim() || say("draftBar.changes", { past: draft.past.length }),
        setup: draft.present,
      },
      {
        onSuccess: (made) => {
          change({
            type: "saved",
            sent: draft.present,
            basedOn: made.number,
            setup: made.setup,
          });
          emptySent(form, filled, "reason");
          setSaved(made.number);
        },
      },
    );
  return (
    <div className="no-print space-y-2 rounded-card border border-line-strong bg-sheet px-4 py-2">
      {!connected && <Disconnected />}
      <Form form={form} className="flex flex-wrap items-center gap-2" send={save} by={revise}>
        <span className="font-medium" role="status">
          {draft.past.length === 0
            ? say("draftBar.unsavedChanges")
            : say("draftBar.unsaved", { past: draft.past.length })}
        </span>
        <Button
          look="quiet"
          onClick={() => change({ type: "undo" })}
          disabled={draft.past.length === 0}
        >
          <Undo2 aria-hidden size={16} /> {say("draftBar.undo")}
        </Button>
        <Button
          look="quiet"
          onClick={() => change({ type: "redo" })}
          disabled={draft.future.length === 0}
        >
          <Redo2 aria-hidden size={16} /> {say("draftBar.redo")}
        </Button>
        <input
          aria-label={say("draftBar.reason")}
          placeholder={say("draftBar.reasonOptional")}
          maxLength={300}
          className="h-9 min-w-40 flex-1 rounded-card border border-line-strong bg-sheet px-2.5"
          {...form.register("reason")}
        />
        <Button
          type="submit"
          look="main"
          disabled={!changed || revise.isPending || refused.length > 0}
        >
          {say("draftBar.save", { number: standing.newest.number + 1 })}
        </Button>
      </Form>
      <Refused />
      {storage !== "all" && (
        <p role="alert" className="text-grounded">
          {STORED[storage]}
        </p>
      )}
      <SavedMeanwhile />
    </div>
  );
}

/** What the bench does not take, field by field. */
function Refused() {
  const refused = useBench((state) => state.refused);
  if (refused.length === 0) {
    return null;
  }
  return (
    <p role="alert" className="text-grounded">
      {refused
        .map((one) =>
          say("draftBar.refused", {
            field: one.field,
            value: one.value,
            requirement: one.requirement,
          }),
        )
        .join(" ")}
    </p>
  );
}

/** Another revision was saved since these changes were begun: what differs, and which of them stays. */
function SavedMeanwhile() {
  const { standing, draft, change } = useModel();
  const { number, setup } = standing.newest;
  if (draft.basedOn === number) {
    return null;
  }
  const restart = () => change({ type: "restart", basedOn: number, setup });
  return (
    <>
      <Fold
        className="rounded-card border border-line bg-sheet p-3"
        title={<span className="font-medium">{say("draftBar.differences", { number })}</span>}
      >
        <DifferenceList
          before={setup}
          after={draft.present}
          beforeName={say("draftBar.revision", { number })}
          afterName={say("draftBar.yours")}
        />
      </Fold>
      <p role="alert" className="flex flex-wrap items-center gap-2">
        {say("draftBar.savedMeanwhile", { basedOn: draft.basedOn, number })}
        <Button look="warn" onClick={restart}>
          {say("draftBar.discardAndStart", { number })}
        </Button>{" "}
        <Button onClick={() => change({ type: "rebase", basedOn: number })}>
          {say("draftBar.keepMine")}
        </Button>
      </p>
    </>
  );
}

/** Said once: out of reach the page says so above. */
function Disconnected() {
  if (useAway() !== undefined) {
    return null;
  }
  return (
    <p role="alert" className="text-grounded">
      {say("draftBar.connectionLost")}
    </p>
  );
}

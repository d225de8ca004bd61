import { useRemoval } from "@/api/edits";
import { useEffect } from "react";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { Modal } from "@/ui/modal";
import { say } from "@/words/generated/program";

interface Props {
  /** Id of the phase or condition that shall go; empty for none. */
  id: string;
  name: string;
  onClose: () => void;
}

/** Says where something is used and what would become of that, before it goes. */
export function RemoveDialog({ id, name, onClose }: Props) {
  const { draft, change } = useModel();
  const removal = useRemoval();
  const { mutate } = removal;
  useEffect(() => {
    if (id !== "") {
      mutate({ setup: draft.present, id });
    }
  }, [id, draft.present, mutate]);
  return (
    <Modal
      open={id !== ""}
      onOpen={(open) => !open && onClose()}
      title={say("removeDialog.remove", { name })}
      description={say("removeDialog.undoable")}
    >
      {removal.isError && <Failure error={removal.error} />}
      {removal.data !== undefined && (
        <>
          {removal.data.notes.length === 0 ? (
            <p>{say("removeDialog.nothingDepends")}</p>
          ) : (
            <ul className="list-disc space-y-1 pl-5" data-uses>
              {removal.data.notes.map((note) => (
                <li key={note}>{note}</li>
              ))}
            </ul>
          )}
          <div className="mt-4 flex gap-2">
            <Button
              look="warn"
              onClick={() => {
                change({ type: "replace", from: draft.present, setup: removal.data.setup });
                onClose();
              }}
            >
              {say("removeDialog.confirm")}
            </Button>
            <Button onClick={onClose}>{say("removeDialog.cancel")}</Button>
          </div>
        </>
      )}
    </Modal>
  );
}

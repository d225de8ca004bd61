import { useState } from "react";
import { useAbandonAdjustment, type OpenAdjustment } from "@/api/queries";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { Modal } from "@/ui/modal";

/** Undoes a work order that is not closed: what was turned already has to be turned back. */
export function GiveUp({ open }: { open: OpenAdjustment }) {
  const { standing } = useModel();
  const [asked, setAsked] = useState(false);
  const abandon = useAbandonAdjustment(standing.id);
  return (
    <div className="mt-6 text-right">
      <Button look="warn" onClick={() => setAsked(true)}>
        Cancel the work order
      </Button>
      <Modal
        open={asked}
        onOpen={setAsked}
        title="Cancel this work order?"
        description="The setup stays as it was. Put the trims of the flight back into the transmitter."
      >
        {open.undo.length === 0 ? (
          <p>No pushrod has been turned up to this step.</p>
        ) : (
          <>
            <p>Already turned. Turn these back and fit the keepers:</p>
            <ul className="my-2 list-disc space-y-1 pl-5 text-lg font-medium" data-undo>
              {open.undo.map((one) => (
                <li key={one}>{one}</li>
              ))}
            </ul>
          </>
        )}
        {abandon.isError && <Failure error={abandon.error} />}
        <div className="mt-4 flex gap-2">
          <Button
            look="warn"
            disabled={abandon.isPending}
            onClick={() => abandon.mutate(open.version)}
          >
            {open.undo.length === 0 ? "Cancel it" : "All turned back: cancel it"}
          </Button>
          <Button onClick={() => setAsked(false)}>Continue it</Button>
        </div>
      </Modal>
    </div>
  );
}

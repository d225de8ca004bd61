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
        Give this adjustment up
      </Button>
      <Modal
        open={asked}
        onOpen={setAsked}
        title="Give this adjustment up?"
        description="The setup stays as it was. The trims of the flight go back into the transmitter."
      >
        {open.undo.length === 0 ? (
          <p>No rod has been turned up to this step.</p>
        ) : (
          <>
            <p>Turned already. Turn back, and close the keepers:</p>
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
            {open.undo.length === 0 ? "Give it up" : "All of it is back: give it up"}
          </Button>
          <Button onClick={() => setAsked(false)}>Go on with it</Button>
        </div>
      </Modal>
    </div>
  );
}

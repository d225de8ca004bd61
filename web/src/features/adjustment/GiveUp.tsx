import { useState } from "react";
import { useAbandonAdjustment, type OpenAdjustment } from "@/api/queries";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { Modal } from "@/ui/modal";
import { say } from "@/words/generated/adjustment";

/** Undoes a work order that is not closed: what was turned already has to be turned back. */
export function GiveUp({ open }: { open: OpenAdjustment }) {
  const { standing } = useModel();
  const [asked, setAsked] = useState(false);
  const abandon = useAbandonAdjustment(standing.id);
  return (
    <div className="mt-6 text-right">
      <Button look="warn" onClick={() => setAsked(true)}>
        {say("giveUp.cancel")}
      </Button>
      <Modal
        open={asked}
        onOpen={setAsked}
        title={say("giveUp.cancelAsked")}
        description={say("giveUp.setupStays")}
      >
        {open.undo.length === 0 ? (
          <p>{say("giveUp.nothingTurned")}</p>
        ) : (
          <>
            <p>{say("giveUp.turnBackFirst")}</p>
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
            {open.undo.length === 0 ? say("giveUp.cancelIt") : say("giveUp.turnedBackCancel")}
          </Button>
          <Button onClick={() => setAsked(false)}>{say("giveUp.continueIt")}</Button>
        </div>
      </Modal>
    </div>
  );
}

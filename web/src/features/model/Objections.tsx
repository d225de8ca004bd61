import { useState } from "react";
import { useFlyAllTheSame } from "@/api/queries";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";
import { say } from "@/words/generated/model";

const LONGEST = 300;

/** The pilot's own word that a model flies though something is still to be seen on it. */
export function Objections({ model, because }: { model: number; because: string }) {
  const saying = useFlyAllTheSame(model);
  const [typed, setTyped] = useState("");
  const [open, setOpen] = useState(false);
  if (because !== "") {
    return (
      <Button look="quiet" disabled={saying.isPending} onClick={() => saying.mutate("")}>
        {say("objections.undo")}
      </Button>
    );
  }
  return (
    <>
      <Button look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
        {say("objections.flyAnyway")}
      </Button>
      {open && (
        <div className="mt-1 flex flex-wrap items-end gap-2">
          <TextLine
            label={say("objections.because")}
            value={typed}
            onValue={setTyped}
            maxLength={LONGEST}
          />
          <Button
            disabled={typed.trim() === "" || saying.isPending}
            onClick={() => saying.mutate(typed.trim())}
          >
            {say("objections.keepReason")}
          </Button>
        </div>
      )}
      {saying.isError && <Failure error={saying.error} />}
    </>
  );
}

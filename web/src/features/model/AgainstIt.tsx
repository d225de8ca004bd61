import { useState } from "react";
import { useFlyAllTheSame } from "@/api/queries";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";

const LONGEST = 300;

/** The pilot's own word that a model flies though something is still to be seen on it. */
export function AgainstIt({ model, because }: { model: number; because: string }) {
  const say = useFlyAllTheSame(model);
  const [typed, setTyped] = useState("");
  const [open, setOpen] = useState(false);
  if (because !== "") {
    return (
      <Button look="quiet" disabled={say.isPending} onClick={() => say.mutate("")}>
        Undo
      </Button>
    );
  }
  return (
    <>
      <Button look="quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
        Fly it anyway
      </Button>
      {open && (
        <div className="mt-1 flex flex-wrap items-end gap-2">
          <TextLine label="Because" value={typed} onValue={setTyped} maxLength={LONGEST} />
          <Button
            disabled={typed.trim() === "" || say.isPending}
            onClick={() => say.mutate(typed.trim())}
          >
            Keep this reason
          </Button>
        </div>
      )}
      {say.isError && <Failure error={say.error} />}
    </>
  );
}

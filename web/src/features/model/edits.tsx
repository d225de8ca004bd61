import type { ReactNode } from "react";
import { useAddNew, useMend, type Edit, type NewPart } from "@/api/edits";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { useModel } from "./model";
import { useWorked } from "./worked";

interface MendProps {
  edits: Edit[];
  className?: string;
  disabled?: boolean;
  children: ReactNode;
}

/** Sends a mend and takes what comes back as one step of the draft. */
export function MendButton({ edits, className = "", disabled = false, children }: MendProps) {
  const { draft } = useModel();
  const worked = useWorked();
  const mend = useMend();
  return (
    <>
      <Button
        className={className}
        disabled={disabled || mend.isPending}
        onClick={() => void worked(mend.mutateAsync({ setup: draft.present, edits }))}
      >
        {children}
      </Button>
      {mend.isError && <Failure error={mend.error} />}
    </>
  );
}

interface AddProps {
  part: NewPart;
  className?: string;
  children: ReactNode;
}

/** Adds something new with the core's values to begin with. */
export function AddButton({ part, className = "", children }: AddProps) {
  const { draft } = useModel();
  const worked = useWorked();
  const add = useAddNew();
  return (
    <>
      <Button
        className={className}
        disabled={add.isPending}
        onClick={() => void worked(add.mutateAsync({ setup: draft.present, part }))}
      >
        {children}
      </Button>
      {add.isError && <Failure error={add.error} />}
    </>
  );
}

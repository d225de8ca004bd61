import { Trash2 } from "lucide-react";
import { useRemovePart } from "@/api/edits";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/rig";

interface PartRowProps {
  id: string;
  name: string;
  chosen?: boolean;
  onChoose?: () => void;
}

/** A part that can be chosen and taken off. */
export function PartRow({ id, name, chosen = false, onChoose }: PartRowProps) {
  const { draft } = useModel();
  const worked = useWorked();
  const remove = useRemovePart();
  const gone = () => void worked(remove.mutateAsync({ setup: draft.present, id }));
  return (
    <li>
      <div className="flex items-center gap-1">
        <button
          type="button"
          aria-pressed={chosen}
          onClick={onChoose}
          className={`flex-1 rounded-card border px-2 py-1 text-left text-sm ${chosen ? "border-brand bg-brand text-on-brand" : "border-line hover:bg-inset"}`}
        >
          {name}
        </button>
        <Button
          look="quiet"
          className="!px-2"
          aria-label={say("partRow.remove", { name })}
          onClick={gone}
        >
          <Trash2 aria-hidden size={15} />
        </Button>
      </div>
      {remove.isError && <Failure error={remove.error} />}
    </li>
  );
}

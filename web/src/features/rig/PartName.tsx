import { useState } from "react";
import { useRename } from "@/api/edits";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";
import { say } from "@/words/generated/rig";

/** A part's name; its servo and channel, where they are called after it, take it on. */
export function PartName({ part, name }: { part: string; name: string }) {
  const { draft } = useModel();
  const rename = useRename();
  const worked = useWorked();
  const [typed, setTyped] = useState({ text: name, of: name });
  const text = typed.of === name ? typed.text : name;
  const take = () => {
    if (text.trim() !== "" && text !== name) {
      void worked(rename.mutateAsync({ setup: draft.present, part, name: text }));
    }
  };
  return (
    <div onBlur={take}>
      <TextLine
        label={say("partName.name")}
        required
        maxLength={60}
        value={text}
        onValue={(value) => setTyped({ text: value, of: name })}
      />
      {rename.isError && <Failure error={rename.error} />}
    </div>
  );
}

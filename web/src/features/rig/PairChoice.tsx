import { usePair } from "@/api/edits";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/rig";

interface Props {
  part: string;
  pair: string;
  others: { id: string; name: string }[];
}

/** Which part mirrors this one on the other side; both then say so. */
export function PairChoice({ part, pair, others }: Props) {
  const { draft } = useModel();
  const worked = useWorked();
  const set = usePair();
  return (
    <div>
      <Choice
        label={say("pairChoice.pair")}
        value={pair}
        options={[
          ["", say("pairChoice.none")],
          ...others.map((one) => [one.id, one.name] as const),
        ]}
        onValue={(chosen) =>
          void worked(set.mutateAsync({ setup: draft.present, part, pair: chosen }))
        }
      />
      {set.isError && <Failure error={set.error} />}
    </div>
  );
}

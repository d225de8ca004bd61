import { useState } from "react";
import { useCopy } from "@/api/edits";
import { powerScale } from "@/domain/scales";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { PlainNumber } from "@/ui/plain-number";
import { say } from "@/words/generated/program";

interface PowerProps {
  label: string;
  /** As it is stored: a command of the motor, percent. */
  value: number;
  onValue: (value: number) => void;
}

/** What a motor is told, as power: 0 to 100 %, and which way where its controller knows two. */
export function PowerNumber({ label, value, onValue }: PowerProps) {
  const { draft } = useModel();
  const scale = powerScale(draft.present.power.twoWay);
  const word = scale.word(value);
  return (
    <PlainNumber
      label={say("powerParts.power", { label, word: word === "" ? "" : ` (${word})` })}
      value={scale.show(value)}
      onValue={(typed) => onValue(scale.store(typed))}
    />
  );
}

/** The same curve once more for one phase. */
export function CopyCurve({ from }: { from: number }) {
  const { draft } = useModel();
  const worked = useWorked();
  const copy = useCopy();
  const phases = draft.present.phases;
  const [phase, setPhase] = useState(phases[0]?.id ?? "");
  return phases.length < 2 ? null : (
    <div className="mt-2 flex flex-wrap items-end gap-2">
      <Choice
        label={say("powerParts.alsoFor")}
        value={phase}
        onValue={setPhase}
        options={phases.map((one) => [one.id, one.name] as const)}
      />
      <Button
        disabled={copy.isPending}
        onClick={() =>
          void worked(
            copy.mutateAsync({
              setup: draft.present,
              what: "THROTTLE_CURVE",
              from: `${from + 1}`,
              to: phase,
            }),
          )
        }
      >
        {say("powerParts.copyCurve")}
      </Button>
      {copy.isError && <Failure error={copy.error} />}
    </div>
  );
}

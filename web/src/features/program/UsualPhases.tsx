import { useState } from "react";
import { useStartPhases } from "@/api/edits";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/program";

/** The usual phases of a kind of flying at once. */
export function UsualPhases() {
  const { draft } = useModel();
  const worked = useWorked();
  const start = useStartPhases();
  const three = draft.present.transmitter.inputs.filter((one) => one.positions === 3);
  const [first, setFirst] = useState(three[0]?.id ?? "");
  const [second, setSecond] = useState(three[1]?.id ?? "");
  const options = three.map((one) => [one.id, one.name] as const);
  const take = (way: "START_CRUISE_LANDING" | "SPEED_CRUISE_THERMALS_LANDING") =>
    void worked(start.mutateAsync({ setup: draft.present, way, first, second }));
  return three.length === 0 ? null : (
    <Card title={say("usualPhases.title")}>
      <div className="flex flex-wrap items-end gap-2">
        <Choice
          label={say("usualPhases.switch")}
          value={first}
          options={options}
          onValue={setFirst}
        />
        {three.length > 1 && (
          <Choice
            label={say("usualPhases.secondSwitch")}
            value={second}
            options={options}
            onValue={setSecond}
          />
        )}
        <Button disabled={start.isPending} onClick={() => take("START_CRUISE_LANDING")}>
          {say("usualPhases.threePhases")}
        </Button>
        {three.length > 1 && (
          <Button disabled={start.isPending} onClick={() => take("SPEED_CRUISE_THERMALS_LANDING")}>
            {say("usualPhases.fivePhases")}
          </Button>
        )}
      </div>
      <p className="mt-2 text-xs text-soft">{say("usualPhases.hint")}</p>
      {start.isError && <Failure error={start.error} />}
    </Card>
  );
}

import { useState } from "react";
import { useHanging } from "@/api/rig";
import { PlainNumber } from "@/ui/plain-number";
import { useModel } from "@/features/model/model";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { SwitchTabs } from "@/ui/switch-tabs";
import { say } from "@/words/generated/rig";

/** The thrust line by hanging the model from its shaft: the angle is read, the washer comes out. */
export function HangingCard() {
  const { draft } = useModel();
  const [down, setDown] = useState(true);
  const [readDegrees, setRead] = useState(0);
  const [nowDegrees, setNow] = useState(0);
  const boltSpacingMm = draft.present.balance.boltSpacingMm;
  const line = useHanging({ down, readDegrees, nowDegrees, boltSpacingMm });
  const way = down ? say("hangingCard.plusDown") : say("hangingCard.plusRight");
  const fields = (
    <div className="grid grid-cols-2 gap-3">
      <PlainNumber
        label={say("hangingCard.readAngle", { way })}
        value={readDegrees}
        onValue={setRead}
      />
      <PlainNumber
        label={say("hangingCard.thrustNow", { way })}
        value={nowDegrees}
        onValue={setNow}
      />
    </div>
  );
  return (
    <Card title={say("hangingCard.title")}>
      <p className="mb-2 text-sm text-soft">{say("hangingCard.instruction")}</p>
      <SwitchTabs
        label={say("hangingCard.seen")}
        value={down ? "side" : "above"}
        onValue={(one) => setDown(one === "side")}
        options={[
          ["side", say("hangingCard.side"), fields],
          ["above", say("hangingCard.fromAbove"), fields],
        ]}
      />
      {line.isError && <Failure error={line.error} />}
      <p className="figures mt-2" data-hanging>
        {line.data?.words}
      </p>
    </Card>
  );
}

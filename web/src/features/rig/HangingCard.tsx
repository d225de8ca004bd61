import { useState } from "react";
import { useHanging } from "@/api/rig";
import { PlainNumber } from "@/ui/plain-number";
import { useModel } from "@/features/model/model";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { SwitchTabs } from "@/ui/switch-tabs";

/** The thrust line by hanging the model from its shaft: the angle is read, the washer comes out. */
export function HangingCard() {
  const { draft } = useModel();
  const [down, setDown] = useState(true);
  const [readDegrees, setRead] = useState(0);
  const [nowDegrees, setNow] = useState(0);
  const boltSpacingMm = draft.present.balance.boltSpacingMm;
  const line = useHanging({ down, readDegrees, nowDegrees, boltSpacingMm });
  const way = down ? "plus down" : "plus right";
  const fields = (
    <div className="grid grid-cols-2 gap-3">
      <PlainNumber
        label={`Angle from the shaft’s axis, ° (${way})`}
        value={readDegrees}
        onValue={setRead}
      />
      <PlainNumber label={`Thrust line now, ° (${way})`} value={nowDegrees} onValue={setNow} />
    </div>
  );
  return (
    <Card title="Thrust line by hanging">
      <p className="mb-2 text-sm text-soft">
        Propeller off, pack in. Hang the model by a thread from its motor shaft: the line of the
        thread passes through the balance point. Read the angle between the thread and the shaft’s
        axis. A starting point, for a propeller in front; the trim flights decide.
      </p>
      <SwitchTabs
        label="Seen"
        value={down ? "side" : "above"}
        onValue={(one) => setDown(one === "side")}
        options={[
          ["side", "From the side", fields],
          ["above", "From above", fields],
        ]}
      />
      {line.isError && <Failure error={line.error} />}
      <p className="figures mt-2" data-hanging>
        {line.data?.words}
      </p>
    </Card>
  );
}

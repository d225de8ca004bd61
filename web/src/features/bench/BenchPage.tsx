import { useHasMotor, useModel } from "@/features/model/model";
import { Card, Caution } from "@/ui/card";
import { AircraftViews } from "./AircraftViews";
import { PhaseNote } from "@/features/bench/PhaseNote";
import { MotorNote } from "./MotorNote";
import { ReceiverPanel } from "./ReceiverPanel";
import { StickPads } from "./StickPads";
import { TallyPanel } from "./TallyPanel";
import { TrimSteppers } from "./TrimSteppers";
import { say } from "@/words/generated/bench";

/** The whole aircraft, the sticks, and the tally of one surface. */
export function BenchPage() {
  const { draft } = useModel();
  const transmitter = draft.present.transmitter;
  const motor = useHasMotor();
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_420px]">
      <div className="space-y-3">
        <AircraftViews />
        <Caution>{say("benchPage.safety", { motor })}</Caution>
      </div>
      <div className="space-y-3">
        <Card tight label={say("benchPage.sticks")}>
          <PhaseNote compact />
          <StickPads mode={transmitter.stickMode} />
          <MotorNote mode={transmitter.stickMode} />
        </Card>
        <Card tight>
          <TallyPanel compact />
        </Card>
        <Card tight label={say("benchPage.trims")}>
          <TrimSteppers range={transmitter.trimRangeClicks} />
        </Card>
        <Card title={say("benchPage.simulatedReceiver")}>
          <ReceiverPanel />
        </Card>
      </div>
    </div>
  );
}

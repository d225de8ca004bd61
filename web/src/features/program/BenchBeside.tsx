import { useModel } from "@/features/model/model";
import { AircraftViews } from "@/features/bench/AircraftViews";
import { MotorNote } from "@/features/bench/MotorNote";
import { StickPads } from "@/features/bench/StickPads";
import { TallyPanel } from "@/features/bench/TallyPanel";
import { Card } from "@/ui/card";
import { PhaseNote } from "@/features/bench/PhaseNote";

/** The bench beside whatever is being programmed. */
export function BenchBeside() {
  const { draft } = useModel();
  const mode = draft.present.transmitter.stickMode;
  return (
    <div className="no-print space-y-3 self-start lg:sticky lg:top-3">
      <AircraftViews compact />
      <Card label="Sticks">
        <PhaseNote />
        <StickPads mode={mode} compact />
        <MotorNote mode={mode} />
      </Card>
      <Card>
        <TallyPanel />
      </Card>
    </div>
  );
}

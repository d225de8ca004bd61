import { useModel } from "@/features/model/model";
import { Card } from "@/ui/card";
import { AircraftViews } from "./AircraftViews";
import { MotorNote } from "./MotorNote";
import { PhaseNote } from "./PhaseNote";
import { StickPads } from "./StickPads";
import { TallyPanel } from "./TallyPanel";
import { say } from "@/words/generated/bench";

/** The bench beside whatever is being worked on: drawing, tally and hands in one view. */
export function BenchBeside() {
  const { draft } = useModel();
  const mode = draft.present.transmitter.stickMode;
  return (
    <div className="no-print space-y-2 self-start lg:sticky lg:top-2" data-bench-beside>
      <AircraftViews compact />
      <Card tight>
        <TallyPanel compact />
      </Card>
      <Card tight label={say("benchBeside.sticks")}>
        <PhaseNote compact />
        <StickPads mode={mode} compact />
        <MotorNote mode={mode} />
      </Card>
    </div>
  );
}

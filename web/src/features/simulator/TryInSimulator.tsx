import { Plane } from "lucide-react";
import { useState } from "react";
import { useFlyThis, type Manoeuvre } from "@/api/school";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Choice } from "@/ui/choice";
import { Failure, Waiting } from "@/ui/message";
import { Modal } from "@/ui/modal";
import { Watch } from "./Watch";
import { say } from "@/words/generated/simulator";

const NAMES: Record<Manoeuvre, string> = {
  LEVEL: say("tryInSimulator.handsOff"),
  ROLL: say("tryInSimulator.roll"),
  CLIMB: say("tryInSimulator.fullPower"),
  KNIFE_EDGE: say("tryInSimulator.knifeEdge"),
  BRAKES: say("tryInSimulator.brakesOut"),
};

/** The draft as it is, flown against what is saved. */
export function TryInSimulator() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Plane aria-hidden size={16} /> {say("tryInSimulator.trySimulator")}
      </Button>
      <Modal
        open={open}
        onOpen={setOpen}
        title={say("tryInSimulator.trySimulator")}
        description={say("tryInSimulator.picture")}
        wide
      >
        <Both />
      </Modal>
    </>
  );
}

function Both() {
  const { draft, standing } = useModel();
  const [manoeuvre, setManoeuvre] = useState<Manoeuvre>("ROLL");
  const flown = useFlyThis({ draft: draft.present, saved: standing.newest.setup, manoeuvre });
  if (flown.data === undefined) {
    return flown.isError ? (
      <Failure error={flown.error} />
    ) : (
      <Waiting what={say("tryInSimulator.bothFlights")} />
    );
  }
  const { against, others } = flown.data;
  return (
    <div className="space-y-3" data-fly-this={manoeuvre}>
      <Choice
        label={say("tryInSimulator.flown")}
        value={manoeuvre}
        options={others.map((one) => [one, NAMES[one]] as const)}
        onValue={setManoeuvre}
      />
      {against.length > 0 ? (
        <ul role="alert" className="list-disc border-l-4 border-grounded bg-inset py-3 pr-4 pl-8">
          {against.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      ) : (
        <Watch
          key={manoeuvre}
          path={flown.data.draft}
          beside={flown.data.saved}
          together
          besideLabel={say("tryInSimulator.savedDashed")}
          frame={flown.data.frame}
          words={say("tryInSimulator.both", {
            words: flown.data.words[0] ?? "",
            wordsOther: flown.data.words[1] ?? "",
          })}
        />
      )}
    </div>
  );
}

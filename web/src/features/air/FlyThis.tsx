import { Plane } from "lucide-react";
import { useState } from "react";
import { useFlyThis, type Manoeuvre } from "@/api/school";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Choice } from "@/ui/choice";
import { Failure, Waiting } from "@/ui/message";
import { Modal } from "@/ui/modal";
import { Watch } from "./Watch";

const NAMES: Record<Manoeuvre, string> = {
  LEVEL: "Level flight, hands off",
  ROLL: "A roll with full stick",
  CLIMB: "Full power",
  KNIFE_EDGE: "Knife edge, rudder only",
  BRAKES: "Brakes out",
};

/** The draft as it is, flown against what is saved. */
export function FlyThis() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Plane aria-hidden size={16} /> Try it in the simulator
      </Button>
      <Modal
        open={open}
        onOpen={setOpen}
        title="Try it in the simulator"
        description="Simulated: your draft, and dashed the saved revision, from the same straight flight."
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
    return flown.isError ? <Failure error={flown.error} /> : <Waiting what="both flights" />;
  }
  const { against, others } = flown.data;
  return (
    <div className="space-y-3" data-fly-this={manoeuvre}>
      <Choice
        label="What is flown"
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
          besideLabel="Saved revision, dashed"
          frame={flown.data.frame}
          words={`Draft: ${flown.data.words[0] ?? ""} Saved revision: ${flown.data.words[1] ?? ""}`}
        />
      )}
    </div>
  );
}

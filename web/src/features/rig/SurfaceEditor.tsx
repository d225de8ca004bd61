import { lengthSign } from "@/domain/reader";
import { PairChoice } from "./PairChoice";
import { PartName } from "./PartName";
import { SURFACE_ROLES } from "@/features/model/roles";
import { Plus, X } from "lucide-react";
import {
  DraftCheck,
  DraftChoice,
  DraftNumber,
  DraftNumbers,
  DraftText,
} from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/rig";

/** One surface: where it sits, what it takes of each control, what moves it. */
export function SurfaceEditor({ index }: { index: number }) {
  const { draft, change } = useModel();
  const setup = draft.present;
  const surface = setup.surfaces[index];
  if (surface === undefined) {
    return null;
  }
  const at = ["surfaces", index] as const;
  const levers = surface.shares.levers;
  const inputs = setup.transmitter.inputs;
  const setLevers = (value: typeof levers) =>
    change({ type: "edit", path: [...at, "shares", "levers"], value });
  return (
    <>
      <Card title={surface.name}>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
          <PartName part={surface.id} name={surface.name} />
          <DraftChoice
            path={[...at, "side"]}
            label={say("surfaceEditor.side")}
            options={[
              ["LEFT", told("Side", "LEFT")],
              ["CENTRE", told("Side", "CENTRE")],
              ["RIGHT", told("Side", "RIGHT")],
            ]}
          />
          <DraftChoice
            path={[...at, "role"]}
            label={say("surfaceEditor.purpose")}
            options={SURFACE_ROLES}
          />
          <PairChoice
            part={surface.id}
            pair={surface.pair}
            others={setup.surfaces.filter(
              (one) => one.side !== surface.side && one.side !== "CENTRE",
            )}
          />
          <DraftChoice
            path={[...at, "place", "panel"]}
            label={say("surfaceEditor.panel")}
            options={setup.airframe.panels.map((panel) => [panel.id, panel.name] as const)}
          />
          <DraftNumber path={[...at, "place", "from"]} />
          <DraftNumber path={[...at, "place", "to"]} />
          <DraftNumber path={[...at, "chordMm"]} />
          <DraftNumbers
            path={[...at, "hornHolesMm"]}
            label={say("surfaceEditor.hornHoles", { lengthSign: lengthSign() })}
          />
          <div className="self-center">
            <DraftCheck path={[...at, "sideways"]} label={say("surfaceEditor.movesSideways")} />
          </div>
        </div>
      </Card>
      <Card title={say("surfaceEditor.shares")}>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
          <DraftNumber path={[...at, "shares", "roll"]} />
          <DraftNumber path={[...at, "shares", "pitch"]} />
          <DraftNumber path={[...at, "shares", "yaw"]} />
        </div>
        <p className="mt-1 text-xs text-soft">{say("surfaceEditor.sharesHint")}</p>
        {levers.map((_, i) => (
          <div key={i} className="mt-2 flex items-end gap-2">
            <DraftChoice
              path={[...at, "shares", "levers", i, "input"]}
              label={say("surfaceEditor.lever")}
              options={inputs.map((input) => [input.id, input.name] as const)}
            />
            <DraftNumber path={[...at, "shares", "levers", i, "share"]} />
            <Button
              look="quiet"
              aria-label={say("surfaceEditor.removeLever")}
              onClick={() => setLevers(levers.filter((_, other) => other !== i))}
            >
              <X aria-hidden size={16} />
            </Button>
          </div>
        ))}
        {inputs.length > 0 && (
          <Button
            className="mt-2"
            onClick={() => setLevers([...levers, { input: inputs[0]?.id ?? "", share: 1 }])}
          >
            <Plus aria-hidden size={16} /> {say("surfaceEditor.addLever")}
          </Button>
        )}
      </Card>
      <Driver index={index} />
    </>
  );
}

function Driver({ index }: { index: number }) {
  const { draft, change } = useModel();
  const setup = draft.present;
  const surface = setup.surfaces[index];
  const servo = setup.servos.findIndex(({ id }) => id === surface?.rod.driverId);
  if (surface === undefined) {
    return null;
  }
  const rod = surface.rod;
  const drivers = [
    ...setup.servos.map((one) => [`SERVO ${one.id}`, one.name] as [string, string]),
    ...setup.surfaces
      .filter((one) => one.id !== surface.id)
      .map(
        (one) =>
          [`SURFACE ${one.id}`, say("surfaceEditor.bySlave", { name: one.name })] as [
            string,
            string,
          ],
      ),
  ];
  const drive = (value: string) => {
    const [driver, driverId] = value.split(" ");
    change({ type: "edit", path: ["surfaces", index, "rod"], value: { ...rod, driver, driverId } });
  };
  return (
    <Card title={say("surfaceEditor.driver")}>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <Choice
          label={say("surfaceEditor.drivenBy")}
          value={`${rod.driver} ${rod.driverId}`}
          options={drivers}
          onValue={drive}
        />
        {rod.driver === "SERVO" && servo >= 0 && (
          <>
            <DraftText path={["servos", servo, "name"]} label={say("surfaceEditor.servo")} />
            <DraftChoice
              path={["servos", servo, "channel"]}
              label={say("surfaceEditor.channel")}
              options={setup.channels
                .filter((one) => setup.surfaces.some((each) => each.id === one.carries))
                .map((one) => [one.number, `${one.number}, ${one.name}`] as const)}
            />
            <DraftNumber path={["servos", servo, "seating", "teeth"]} />
            <DraftNumber path={["servos", servo, "seating", "arms"]} />
            <DraftNumbers
              path={["servos", servo, "armHolesMm"]}
              label={say("surfaceEditor.armHoles", { lengthSign: lengthSign() })}
            />
            <DraftNumber path={["servos", servo, "leadMm"]} />
          </>
        )}
      </div>
    </Card>
  );
}

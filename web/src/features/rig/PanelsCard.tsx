import { DraftChoice, DraftNumber, DraftText } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { PANEL_ROLES } from "@/features/model/roles";
import { Card } from "@/ui/card";
import { Fold } from "@/ui/fold";
import { PairChoice } from "./PairChoice";
import { PartName } from "./PartName";
import { PartRow } from "./PartRow";
import { say } from "@/words/generated/rig";

/** Wings and tails, each side its own. */
export function Panels() {
  const { draft } = useModel();
  return (
    <Card title={say("panelsCard.panels")}>
      {draft.present.airframe.panels.map((panel, i) => (
        <Fold
          key={panel.id}
          className="border-t border-line py-1 first:border-0"
          title={<span className="font-medium">{panel.name}</span>}
        >
          <div className="space-y-2 py-2">
            <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
              <DraftText path={["airframe", "panels", i, "name"]} />
              <DraftChoice
                path={["airframe", "panels", i, "role"]}
                label={say("panelsCard.role")}
                options={PANEL_ROLES}
              />
              <PairChoice
                part={panel.id}
                pair={panel.pair}
                others={draft.present.airframe.panels.filter((one) => one.id !== panel.id)}
              />
            </div>
            {(["root", "tip"] as const).map((end) => (
              <div key={end}>
                <h3 className="text-sm capitalize">{end}</h3>
                <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
                  {(["aftMm", "rightMm", "upMm", "chordMm"] as const).map((field) => (
                    <DraftNumber key={field} path={["airframe", "panels", i, end, field]} />
                  ))}
                </div>
              </div>
            ))}
            <ul>
              <PartRow id={panel.id} name={say("panelsCard.remove", { name: panel.name })} />
            </ul>
          </div>
        </Fold>
      ))}
    </Card>
  );
}

/** Motors with their controllers. */
export function Motors() {
  const { draft } = useModel();
  const motors = draft.present.airframe.motors;
  return motors.length === 0 ? null : (
    <Card title={say("panelsCard.motors")}>
      {motors.map((motor, i) => (
        <div key={motor.id} className="border-t border-line py-2 first:border-0">
          <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
            <PartName part={motor.id} name={motor.name} />
            <DraftNumber path={["airframe", "motors", i, "channel"]} />
            <DraftNumber path={["airframe", "motors", i, "propellerDiameterMm"]} />
            <DraftNumber path={["airframe", "motors", i, "aftMm"]} />
            <DraftNumber path={["airframe", "motors", i, "rightMm"]} />
            <Reverser index={i} />
          </div>
          <ul className="mt-1">
            <PartRow id={motor.id} name={motor.name} />
          </ul>
        </div>
      ))}
    </Card>
  );
}

/** The channel of a second wire that turns a motor round: one that follows a switch. */
function Reverser({ index }: { index: number }) {
  const { draft } = useModel();
  const { channels, transmitter } = draft.present;
  const switches = channels.filter((channel) =>
    transmitter.inputs.some((one) => one.id === channel.carries && one.kind === "SWITCH"),
  );
  return (
    <DraftChoice
      path={["airframe", "motors", index, "reverserChannel"]}
      label={say("panelsCard.reversedBy")}
      options={[
        [-1, say("panelsCard.noChannel")],
        ...switches.map(
          (one) =>
            [
              one.number,
              say("panelsCard.channel", { number: one.number, name: one.name }),
            ] as const,
        ),
      ]}
    />
  );
}

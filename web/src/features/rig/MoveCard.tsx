import { capital } from "@/domain/words";
import { length, lengthFigure } from "@/domain/reader";
import { useState } from "react";
import { useMoveTransmitter, type Moved } from "@/api/rig";
import { useField } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure, Outdated } from "@/ui/message";
import { NumberField } from "@/ui/number-field";
import { TextLine } from "@/ui/text-line";
import { transmitterNumbers } from "./transmitter";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/rig";

type Transmitter = Moved["setup"]["transmitter"];

const ORDERS: readonly (readonly [string, string])[] = [
  ["ROLL PITCH THROTTLE YAW", say("moveCard.orderRollPitchThrottle")],
  ["THROTTLE ROLL PITCH YAW", say("moveCard.orderThrottleFirst")],
  ["PITCH ROLL THROTTLE YAW", say("moveCard.orderPitchRollThrottle")],
  ["ROLL PITCH YAW THROTTLE", say("moveCard.orderRollPitchYaw")],
  ["YAW PITCH THROTTLE ROLL", say("moveCard.orderYawFirst")],
];

/** The model on another transmitter, with every surface before and after. */
export function MoveCard() {
  const { draft, change } = useModel();
  const [open, setOpen] = useState(false);
  const [to, setTo] = useState<Transmitter>(draft.present.transmitter);
  const [moved, setMoved] = useState<Moved>();
  const move = useMoveTransmitter();
  const [from, setFrom] = useState(draft.present);
  const holds = from === draft.present;
  const set = (field: keyof Transmitter, value: unknown) => {
    setTo({ ...to, [field]: value });
    setMoved(undefined);
  };
  if (!open) {
    return (
      <Card title={say("moveCard.switchTransmitter")} className="!p-3">
        <p className="mb-2 text-sm text-soft">{say("moveCard.hint")}</p>
        <Button
          onClick={() => {
            setTo(draft.present.transmitter);
            setOpen(true);
          }}
        >
          {say("moveCard.title")}
        </Button>
      </Card>
    );
  }
  return (
    <Card title={say("moveCard.toWhich")} className="!p-3">
      <div className="grid grid-cols-2 gap-2">
        <div className="col-span-2">
          <TextLine
            label={say("moveCard.name")}
            value={to.name}
            onValue={(name) => set("name", name)}
          />
        </div>
        <Choice
          label={say("moveCard.channelOrder")}
          value={to.channelOrder.join(" ")}
          options={ORDERS}
          onValue={(order) => set("channelOrder", order.split(" "))}
        />
        <Choice
          label={say("moveCard.subTrim")}
          value={to.subTrimMode}
          options={[
            ["SHIFT", capital(told("SubTrimMode", "SHIFT"))],
            ["FIXED_ENDS", capital(told("SubTrimMode", "FIXED_ENDS"))],
          ]}
          onValue={(mode) => set("subTrimMode", mode)}
        />
        {(["stickMode", ...transmitterNumbers] as const).map((field) => (
          <ProfileNumber
            key={field}
            field={field}
            value={to[field]}
            onValue={(value) => set(field, value)}
          />
        ))}
      </div>
      <div className="mt-2 flex gap-2">
        <Button
          look="main"
          disabled={move.isPending}
          onClick={() =>
            move.mutate(
              { setup: draft.present, transmitter: to },
              {
                onSuccess: (found, asked) => {
                  setMoved(found);
                  setFrom(asked.setup);
                },
              },
            )
          }
        >
          {say("moveCard.showBoth")}
        </Button>
        <Button look="quiet" onClick={() => setOpen(false)}>
          {say("moveCard.cancel")}
        </Button>
      </div>
      {move.isError && <Failure error={move.error} />}
      {moved !== undefined && !holds && <Outdated />}
      {moved !== undefined && holds && (
        <BeforeAfter
          moved={moved}
          onTake={() => {
            change({ type: "replace", from: draft.present, setup: moved.setup });
            setMoved(undefined);
            setOpen(false);
          }}
        />
      )}
    </Card>
  );
}

interface ProfileProps {
  field: "stickMode" | (typeof transmitterNumbers)[number];
  value: number;
  onValue: (value: number) => void;
}

function ProfileNumber({ field, value, onValue }: ProfileProps) {
  const known = useField(`setup.transmitter.${field}`);
  return known === undefined ? null : <NumberField field={known} value={value} onValue={onValue} />;
}

function BeforeAfter({ moved, onTake }: { moved: Moved; onTake: () => void }) {
  return (
    <section className="mt-3 text-sm" data-moved>
      <p className="figures font-semibold">
        {say("moveCard.apart", { length: length(moved.largestMm, 4) })}
      </p>
      {moved.notes.length > 0 && (
        <ul className="my-1 list-disc pl-5 text-grounded">
          {moved.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      )}
      <div className="max-h-64 overflow-auto">
        <table className="figures w-full">
          <thead>
            <tr className="text-left text-xs text-soft">
              <th className="font-medium">{say("moveCard.surface")}</th>
              <th className="font-medium">{say("moveCard.with")}</th>
              <th className="text-right font-medium">{say("moveCard.before")}</th>
              <th className="text-right font-medium">{say("moveCard.after")}</th>
            </tr>
          </thead>
          <tbody>
            {moved.lines.map((line, i) => (
              <tr key={i} className="border-t border-line">
                <td>{line.surface}</td>
                <td>{line.where}</td>
                <td className="text-right">{lengthFigure(line.beforeMm, 2)}</td>
                <td className="text-right">{lengthFigure(line.afterMm, 2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button look="main" className="mt-2" onClick={onTake}>
        {say("moveCard.use")}
      </Button>
    </section>
  );
}

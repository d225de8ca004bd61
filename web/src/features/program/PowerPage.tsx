import { AddButton } from "@/features/model/edits";
import { Plus, X } from "lucide-react";
import { DraftCheck, DraftChoice, DraftNumber } from "@/features/model/fields";
import { useHasMotor, useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { BenchBeside } from "@/features/bench/BenchBeside";
import { powerScale, THROTTLE } from "@/domain/scales";
import { CopyCurve, PowerNumber } from "./PowerParts";
import { CurveField } from "./CurveField";
import { DemandedCard } from "./DemandedCard";
import { TimersCard } from "./TimersCard";
import { DraftPhases, DraftWhen } from "./parts";

const P = ["power"] as const;

/** From the throttle to the motor, what stops it, and what watches over it. */
export function PowerPage() {
  const motor = useHasMotor();
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        {motor && <MotorCard />}
        <FailsafeCard />
        {motor && <Curves />}
        <DemandedCard />
        <TimersCard />
      </div>
      <BenchBeside />
    </div>
  );
}

/** How the motor is switched and stopped. */
function MotorCard() {
  const { draft, change } = useModel();
  const setup = draft.present;
  const power = setup.power;
  const set = (field: string, value: unknown) =>
    change({ type: "edit", path: [...P, field], value });
  return (
    <Card title="Motor">
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <DraftChoice
          path={[...P, "throttleInput"]}
          label="Throttle on"
          options={[
            ["", "the throttle stick"],
            ...setup.transmitter.inputs
              .filter((one) => one.kind === "LEVER")
              .map((one) => [one.id, one.name] as const),
          ]}
        />
        <DraftChoice
          path={[...P, "twoWay"]}
          label="Controller"
          options={[
            [false, "one way, stops at the low end"],
            [true, "both ways, stops in the middle"],
          ]}
        />
        <PowerNumber
          label="Throttle cut holds"
          value={power.cutPercent}
          onValue={(value) => set("cutPercent", value)}
        />
        <DraftNumber path={[...P, "stopMicroseconds"]} />
        <DraftWhen
          path={[...P, "cutWhen"]}
          label="Throttle cut while"
          none="the transmitter’s own cut"
        />
        <DraftWhen path={[...P, "armWhen"]} label="Armed only while" none="always" />
        <div className="space-y-1 self-center">
          <DraftCheck
            path={[...P, "releaseWithStickBack"]}
            label="Release only with the throttle closed"
          />
          <DraftCheck
            path={[...P, "throttleWarning"]}
            label="Warn at switch-on if the throttle is open"
          />
        </div>
      </div>
      <p className="mt-2 text-sm">
        {power.twoWay
          ? "A controller that runs both ways stops in the middle; cut, failsafe and closed throttle must all give that, never the low end."
          : "This controller stops in the middle; cut, failsafe and closed throttle must all give that."}
      </p>
    </Card>
  );
}

function Curves() {
  const { draft, change } = useModel();
  const power = draft.present.power;
  const set = (field: string, value: unknown) =>
    change({ type: "edit", path: [...P, field], value });
  return (
    <>
      {power.curves.map((curve, i) => (
        <Card
          key={i}
          title="Throttle curve"
          aside={
            power.curves.length > 1 && (
              <Button
                look="quiet"
                className="!px-2"
                aria-label={`Remove curve ${i + 1}`}
                onClick={() =>
                  set(
                    "curves",
                    power.curves.filter((_, o) => o !== i),
                  )
                }
              >
                <X aria-hidden size={15} />
              </Button>
            )
          }
        >
          <CurveField
            points={curve.points}
            label="Throttle curve"
            scales={{ x: THROTTLE, y: powerScale(power.twoWay) }}
            onPoints={(value, gesture) =>
              change({ type: "edit", path: [...P, "curves", i, "points"], value, gesture })
            }
          />
          <DraftPhases path={[...P, "curves", i, "phases"]} />
          <CopyCurve from={i} />
        </Card>
      ))}
      <AddButton part="THROTTLE_CURVE">
        <Plus aria-hidden size={16} /> A curve for some phases
      </AddButton>
    </>
  );
}

function FailsafeCard() {
  const { draft, change } = useModel();
  const setup = draft.present;
  const list = setup.power.failsafe;
  const motor = useHasMotor();
  const set = (value: typeof list) => change({ type: "edit", path: [...P, "failsafe"], value });
  const missing = setup.channels.filter((one) => !list.some((each) => each.channel === one.number));
  return (
    <Card title="Failsafe: what each channel does when the link is lost">
      <Caution>
        Set it in the receiver, then test it: {motor && "motor made safe, "}switch the transmitter
        off. Outputs fed by a serial bus do not follow the receiver’s own failsafe.
      </Caution>
      {list.map((one, i) => (
        <div key={one.channel} className="mt-2 flex items-end gap-3">
          <span className="w-44 self-center text-sm font-medium">
            {one.channel}, {setup.channels.find((each) => each.number === one.channel)?.name}
          </span>
          <DraftCheck path={[...P, "failsafe", i, "holds"]} label="Holds" />
          {!one.holds &&
            (setup.channels.find((each) => each.number === one.channel)?.carries === "throttle" ? (
              <PowerNumber
                label="Goes to"
                value={one.percent}
                onValue={(percent) =>
                  set(list.map((each, o) => (o === i ? { ...each, percent } : each)))
                }
              />
            ) : (
              <DraftNumber path={[...P, "failsafe", i, "percent"]} label="Goes to" />
            ))}
          <Button
            look="quiet"
            className="!px-2"
            aria-label={`Remove failsafe of channel ${one.channel}`}
            onClick={() => set(list.filter((_, o) => o !== i))}
          >
            <X aria-hidden size={15} />
          </Button>
        </div>
      ))}
      {missing[0] !== undefined && (
        <AddButton part="FAILSAFE" className="mt-2">
          <Plus aria-hidden size={16} /> Channel {missing[0].number}
        </AddButton>
      )}
    </Card>
  );
}

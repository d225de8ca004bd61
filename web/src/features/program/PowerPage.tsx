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
import { say } from "@/words/generated/program";

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
    <Card title={say("powerPage.motor")}>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <DraftChoice
          path={[...P, "throttleInput"]}
          label={say("powerPage.throttleOn")}
          options={[
            ["", say("powerPage.throttleStick")],
            ...setup.transmitter.inputs
              .filter((one) => one.kind === "LEVER")
              .map((one) => [one.id, one.name] as const),
          ]}
        />
        <DraftChoice
          path={[...P, "twoWay"]}
          label={say("powerPage.controller")}
          options={[
            [false, say("powerPage.oneWay")],
            [true, say("powerPage.bothWays")],
          ]}
        />
        <PowerNumber
          label={say("powerPage.cutHolds")}
          value={power.cutPercent}
          onValue={(value) => set("cutPercent", value)}
        />
        <DraftNumber path={[...P, "stopMicroseconds"]} />
        <DraftWhen
          path={[...P, "cutWhen"]}
          label={say("powerPage.cutWhile")}
          none={say("powerPage.ownCut")}
        />
        <DraftWhen
          path={[...P, "armWhen"]}
          label={say("powerPage.armed")}
          none={say("powerPage.always")}
        />
        <div className="space-y-1 self-center">
          <DraftCheck
            path={[...P, "releaseWithStickBack"]}
            label={say("powerPage.releaseClosed")}
          />
          <DraftCheck path={[...P, "throttleWarning"]} label={say("powerPage.warnOpen")} />
        </div>
      </div>
      <p className="mt-2 text-sm">{say("powerPage.controllerStops", { twoWay: power.twoWay })}</p>
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
          title={say("powerPage.throttleCurve")}
          aside={
            power.curves.length > 1 && (
              <Button
                look="quiet"
                className="!px-2"
                aria-label={say("powerPage.removeCurve", { i: i + 1 })}
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
            label={say("powerPage.throttleCurve")}
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
        <Plus aria-hidden size={16} /> {say("powerPage.phaseCurve")}
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
    <Card title={say("powerPage.failsafe")}>
      <Caution>{say("powerPage.failsafeHint", { motor })}</Caution>
      {list.map((one, i) => (
        <div key={one.channel} className="mt-2 flex items-end gap-3">
          <span className="w-44 self-center text-sm font-medium">
            {one.channel}, {setup.channels.find((each) => each.number === one.channel)?.name}
          </span>
          <DraftCheck path={[...P, "failsafe", i, "holds"]} label={say("powerPage.holds")} />
          {!one.holds &&
            (setup.channels.find((each) => each.number === one.channel)?.carries === "throttle" ? (
              <PowerNumber
                label={say("powerPage.goesTo")}
                value={one.percent}
                onValue={(percent) =>
                  set(list.map((each, o) => (o === i ? { ...each, percent } : each)))
                }
              />
            ) : (
              <DraftNumber
                path={[...P, "failsafe", i, "percent"]}
                label={say("powerPage.goesTo")}
              />
            ))}
          <Button
            look="quiet"
            className="!px-2"
            aria-label={say("powerPage.removeFailsafe", { channel: one.channel })}
            onClick={() => set(list.filter((_, o) => o !== i))}
          >
            <X aria-hidden size={15} />
          </Button>
        </div>
      ))}
      {missing[0] !== undefined && (
        <AddButton part="FAILSAFE" className="mt-2">
          <Plus aria-hidden size={16} /> {say("powerPage.channel", { number: missing[0].number })}
        </AddButton>
      )}
    </Card>
  );
}

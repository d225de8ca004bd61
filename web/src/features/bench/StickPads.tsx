import { Check } from "@/ui/check";
import { useState } from "react";
import { InputPads } from "./InputPads";
import { Stick, type Axis } from "./Stick";
import { useBench, useBenchStore, type Moment } from "./store";
import { say } from "@/words/generated/bench";

/** Which control sits on which axis; the stick mode decides which thumb does what. */
const MODES: Record<number, { left: [Axis, Axis]; right: [Axis, Axis] }> = {
  1: { left: ["yaw", "pitch"], right: ["roll", "throttle"] },
  2: { left: ["yaw", "throttle"], right: ["roll", "pitch"] },
  3: { left: ["roll", "pitch"], right: ["yaw", "throttle"] },
  4: { left: ["roll", "throttle"], right: ["yaw", "pitch"] },
};

/** Axes of a stick mode, left and right thumb; across first, then along. */
export const axesOf = (mode: number) =>
  MODES[mode] ?? ({ left: ["yaw", "throttle"], right: ["roll", "pitch"] } as const);

/** Both sticks of the pilot's mode, and the throttle cut. */
export function StickPads({ mode, compact = false }: { mode: number; compact?: boolean }) {
  const store = useBenchStore();
  const moment = useBench((state) => state.moment);
  const motors = useBench((state) => state.setup?.airframe.motors.length ?? 0);
  const [stays, setStays] = useState(false);
  const axes = axesOf(mode);
  const move = (axis: Axis, value: number) => store.move({ [axis]: value } as Partial<Moment>);
  return (
    <div className={compact ? "space-y-1" : "space-y-2"}>
      <div className={compact ? "grid grid-cols-[auto_minmax(0,1fr)] gap-3" : "space-y-2"}>
        <div className={`flex justify-center ${compact ? "gap-2" : "gap-4"}`}>
          {(["left", "right"] as const).map((side) => (
            <Stick
              key={side}
              side={side}
              across={axes[side][0]}
              along={axes[side][1]}
              moment={moment}
              stays={stays}
              size={compact ? 86 : 116}
              onMove={move}
            />
          ))}
        </div>
        <InputPads compact={compact} />
      </div>
      <div className="flex flex-wrap items-center justify-between gap-2 text-sm">
        <Check
          checked={stays}
          onChecked={(checked) => setStays(checked)}
          label={say("stickPads.holdSticks")}
        />
        {motors > 0 && (
          <Check
            className="font-medium"
            checked={moment.throttleCut}
            onChecked={(checked) => store.move({ throttleCut: checked })}
            label={
              <>{say("stickPads.throttleCut", { throttleCut: Boolean(moment.throttleCut) })}</>
            }
          />
        )}
      </div>
    </div>
  );
}

import { inLength, length, lengthSign } from "@/domain/reader";
import { useMemo } from "react";
import { STICK_ENDS, keyOf, wayWords, type Control, type Way } from "@/domain/words";
import { Chart } from "@/ui/chart";
import type { SurfaceResponse } from "@/api/program";
import { useBench } from "./store";
import { say } from "@/words/generated/bench";

type Throw = Pick<SurfaceResponse["sticks"][number], "control" | "curve" | "plusMm" | "minusMm">;

/** Stick against millimetres of the selected surface; the dot is where the stick is. */
export function CurvePlot({ one, way }: { one: Throw; way: Way }) {
  const stick = useBench((state) => state.moment[keyOf(one.control as Control)]);
  const last = one.curve.length - 1;
  const lines = useMemo(
    () => [
      {
        name: say("curvePlot.travel"),
        xs: one.curve.map((_, i) => (2 * i) / last - 1),
        ys: one.curve.map(inLength),
      },
    ],
    [one.curve, last],
  );
  const place = ((stick + 1) / 2) * last;
  const low = Math.floor(place);
  const from = one.curve[low] ?? 0;
  const here = from + ((one.curve[Math.min(last, low + 1)] ?? from) - from) * (place - low);
  const [plus] = wayWords(way);
  return (
    <Chart
      lines={lines}
      label={say("curvePlot.picture", {
        length: length(one.minusMm, 1),
        lengthOther: length(one.plusMm, 1),
      })}
      xLabel={STICK_ENDS[one.control]}
      yLabel={say("curvePlot.plusIs", { lengthSign: lengthSign(), plus })}
      height={190}
      legend={false}
      at={{ x: stick, y: inLength(here) }}
    />
  );
}

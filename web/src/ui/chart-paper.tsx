import { written } from "@/domain/reader";
import { memo } from "react";
import {
  Line as Drawn,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from "recharts";
import { BOTTOM, DASHES, INKS, LEFT, RIGHT, TOP, type ChartProps, type Line } from "./chart-look";

const TEXT = { fill: "var(--soft)", fontSize: 12 };
/** Keeps words readable where a line runs through them. */
const HALO = { stroke: "var(--sheet)", strokeWidth: 4, paintOrder: "stroke" };
const FIRST = { width: 480, height: 200 };

const figure = (value: number) =>
  written(Number(value.toFixed(Math.abs(value) < 10 ? 2 : 0))).replace("-", "−");

type PaperProps = Omit<ChartProps, "at" | "height" | "label" | "legend"> & {
  x0: number;
  x1: number;
  y0: number;
  y1: number;
};

/** What stands still while a stick moves is not drawn again. */
export default memo(function Paper({ lines, xLabel, yLabel, marks, breaks, ...at }: PaperProps) {
  const { x0, x1, y0, y1 } = at;
  return (
    <ResponsiveContainer width="100%" height="100%" initialDimension={FIRST}>
      <LineChart margin={{ left: 0, right: RIGHT, top: TOP, bottom: 0 }} accessibilityLayer={false}>
        <XAxis
          type="number"
          dataKey="x"
          domain={[x0, x1]}
          height={BOTTOM}
          tick={false}
          tickLine={false}
          axisLine={false}
          label={{ value: xLabel, position: "insideBottomRight", offset: 4, ...TEXT }}
        />
        <YAxis
          type="number"
          domain={[y0, y1]}
          width={LEFT}
          ticks={[y0, 0, y1]}
          tick={TEXT}
          tickFormatter={figure}
          tickLine={false}
          axisLine={false}
        />
        {marks?.map((mark) => (
          <ReferenceArea
            key={mark.from}
            x1={mark.from}
            x2={mark.to}
            fill="var(--tag)"
            fillOpacity={0.35}
          />
        ))}
        <ReferenceLine y={0} stroke="var(--line-strong)" />
        {x0 < 0 && <ReferenceLine x={0} stroke="var(--line-strong)" />}
        {breaks?.map((place) => (
          <ReferenceLine
            key={place}
            x={place - 0.5}
            stroke="var(--grounded)"
            strokeDasharray="5 3"
          />
        ))}
        <ReferenceLine
          y={y1}
          stroke="none"
          label={{ value: yLabel, position: "insideTopLeft", ...TEXT, ...HALO }}
        />
        {lines.map((line, i) => (
          <Drawn
            key={line.name}
            data={line.xs.map((x, k) => ({ x, y: line.ys[k] ?? 0 }))}
            dataKey="y"
            type="linear"
            stroke={line.ink ?? INKS[i % INKS.length]}
            strokeWidth={2.5}
            strokeDasharray={line.dash ?? DASHES[i % DASHES.length]}
            dot={line.dot === undefined ? false : <Dot look={line.dot} count={line.xs.length} />}
            activeDot={false}
            isAnimationActive={false}
          />
        ))}
      </LineChart>
    </ResponsiveContainer>
  );
});

interface DotProps {
  look: NonNullable<Line["dot"]>;
  count: number;
  cx?: number;
  cy?: number;
  index?: number;
}

function Dot({ look, count, cx = 0, cy = 0, index = 0 }: DotProps) {
  if (index >= count) {
    // A line that has become shorter is asked once more for the points it had.
    return null;
  }
  const { fill, words } = look(index);
  return (
    <circle cx={cx} cy={cy} r={5} fill={fill} stroke="var(--brand)" strokeWidth={2}>
      <title>{words}</title>
    </circle>
  );
}

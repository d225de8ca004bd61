import { lazy, Suspense, type ReactNode } from "react";
import {
  BOTTOM,
  DASHES,
  INKS,
  LEFT,
  RIGHT,
  TOP,
  type At,
  type ChartProps,
  type Line,
} from "./chart-look";

/** The chart library is large: it comes when the first chart is drawn. */
const Paper = lazy(() => import("./chart-paper"));

interface Bounds {
  x: [number, number];
  y: [number, number];
}

function bounds(lines: Line[]): Bounds {
  const xs = lines.flatMap((one) => one.xs);
  const ys = lines.flatMap((one) => one.ys);
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  return { x: [x0, x1 === x0 ? x0 + 1 : x1], y: [Math.min(-1, ...ys), Math.max(1, ...ys)] };
}

/** Lines on millimetre paper, told apart by stroke and name, not by colour alone. */
export function Chart({ at, height = 240, label, legend = true, ...rest }: ChartProps) {
  const range = bounds(rest.lines);
  return (
    <figure>
      <div
        role="img"
        aria-label={label}
        className="mm-paper relative w-full rounded-card border border-line"
        style={{ height }}
        data-chart={rest.lines.length}
        data-marks={rest.marks?.length}
      >
        <Suspense>
          <Paper {...rest} x0={range.x[0]} x1={range.x[1]} y0={range.y[0]} y1={range.y[1]} />
        </Suspense>
        {at !== undefined && <Now at={at} range={range} />}
      </div>
      {legend && <Legend lines={rest.lines} />}
    </figure>
  );
}

/** Where something is now, laid over the chart. */
function Now({ at, range }: { at: At; range: Bounds }) {
  const across = (at.x - range.x[0]) / (range.x[1] - range.x[0]);
  const left = `calc(${LEFT}px + (100% - ${LEFT + RIGHT}px) * ${across.toFixed(5)})`;
  if (at.y === undefined) {
    return (
      <span
        aria-hidden
        className="absolute w-px bg-grounded"
        style={{ left, top: TOP, bottom: BOTTOM }}
      />
    );
  }
  const down = (range.y[1] - at.y) / (range.y[1] - range.y[0]);
  const top = `calc(${TOP}px + (100% - ${TOP + BOTTOM}px) * ${down.toFixed(5)})`;
  return (
    <span
      aria-hidden
      data-now
      className="absolute size-3 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-ink bg-tag"
      style={{ left, top }}
    />
  );
}

function Legend({ lines }: { lines: Line[] }): ReactNode {
  return (
    <figcaption className="mt-1 flex flex-wrap gap-x-4 text-sm">
      {lines.map((line, i) => (
        <span key={line.name} className="flex items-center gap-1.5">
          <svg width="28" height="8" aria-hidden>
            <path
              d="M0 4H28"
              stroke={line.ink ?? INKS[i % INKS.length]}
              strokeWidth={2.5}
              strokeDasharray={line.dash ?? DASHES[i % DASHES.length]}
            />
          </svg>
          {line.name}
        </span>
      ))}
    </figcaption>
  );
}

import type { TestResult } from "@/api/fly";
import { say } from "@/words/generated/trimming";
import { pathOf, type FlightPath, type Mark } from "./flight-paths";

type Outcome = TestResult["seen"][number]["outcome"];

const SIDE = "M-13 0 Q-6 -4 6 -3.5 L12 -9 L14 -9 L13.5 0 Q4 4 -13 0 Z M-3 -0.5 L6 0.5 L5 2 L-4 1 Z";
const REAR = "M-30 0 L-3 -1.5 L0 -12 L3 -1.5 L30 0 L3 3 L-3 3 Z";
const TOP =
  "M-13 0 L-4 -2 L-4 -18 L3 -16 L3 -2 L11 -1 L11 -7 L15 -6 L15 6 L11 7 L11 1 L3 2 L3 16 L-4 18 L-4 2 Z";

const SHAPES: Record<FlightPath["view"], string> = {
  "from the side": SIDE,
  "from behind": REAR,
  "from above": TOP,
};

const VIEWS: Record<FlightPath["view"], string> = {
  "from the side": say("pathDrawing.side"),
  "from behind": say("pathDrawing.fromBehind"),
  "from above": say("pathDrawing.fromAbove"),
};

/** The model at a place on its path; the shapes fly to the left, the paths to the right. */
function Model({
  mark: [x, y, turn, inverted = false],
  view,
}: {
  mark: Mark;
  view: FlightPath["view"];
}) {
  // Seen from behind a model that flies along the path shows its back once it stands on its tail.
  const along = view !== "from behind" || turn !== 0;
  const shape = along && view === "from behind" ? TOP : SHAPES[view];
  const flips = `scale(${along ? -1 : 1} ${inverted ? -1 : 1})`;
  return (
    <path
      d={shape}
      transform={`translate(${x} ${y}) rotate(${turn}) ${flips}`}
      className="fill-ink"
    />
  );
}

interface Props {
  test: TestResult["test"];
  /** What is drawn besides how it should be; none for the test itself. */
  outcome?: Outcome | undefined;
  label: string;
  className?: string;
}

/** How a test is flown, or what one of its outcomes looks like. */
export function PathDrawing({ test, outcome, label, className = "" }: Props) {
  const path = pathOf(test);
  const wrong = outcome === undefined ? undefined : path.outcomes[outcome];
  const sideways = outcome !== undefined && path.besides?.includes(outcome) === true;
  const view = sideways ? "from the side" : path.view;
  return (
    <svg
      viewBox="0 0 200 120"
      role="img"
      aria-label={label}
      className={`block w-full ${className}`}
    >
      {path.ground === true && (
        <path d="M0 116 H200" className="stroke-line-strong" strokeWidth={2} fill="none" />
      )}
      <path d={path.entry} className="stroke-soft" strokeWidth={2} fill="none" />
      <path
        d={path.watched}
        className="stroke-brand"
        strokeWidth={wrong === undefined ? 3 : 1.5}
        strokeDasharray="7 4"
        fill="none"
      />
      {wrong !== undefined && (
        <path
          d={wrong}
          className="stroke-grounded"
          strokeWidth={4}
          fill="none"
          strokeLinecap="round"
        />
      )}
      {path.marks.map((mark) => (
        <Model key={mark.join()} mark={mark} view={path.shows ?? view} />
      ))}
      {(outcome === undefined || path.besides !== undefined) && (
        <text x={196} y={12} textAnchor="end" className="fill-soft text-[9px]">
          {VIEWS[view]}
        </text>
      )}
    </svg>
  );
}

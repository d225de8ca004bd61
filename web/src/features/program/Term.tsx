import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { useModel } from "@/features/aircraft/model";

const W = 200;
const H = 110;
const X = (s: number) => 100 + 88 * s;
const Y = (v: number) => 55 - 44 * v;
const line = (f: (s: number) => number) =>
  Array.from({ length: 41 }, (_, i) => i / 20 - 1)
    .map((s, i) => `${i === 0 ? "M" : "L"}${X(s).toFixed(1)} ${Y(f(s)).toFixed(1)}`)
    .join("");

interface Known {
  title: string;
  words: string;
  draw: (values: Values) => ReactNode;
}

/** What the drawings take from the model on the page. */
interface Values {
  expo: number;
  rate: number;
  subTrim: number;
  low: number;
  high: number;
  fade: number;
  start: number;
  differential: number;
}

const Axes = () => (
  <path d={`M${X(-1)} ${Y(0)}H${X(1)}M${X(0)} ${Y(1.1)}V${Y(-1.1)}`} stroke="var(--line-strong)" />
);
const Faint = ({ d }: { d: string }) => (
  <path d={d} fill="none" stroke="var(--soft)" strokeDasharray="4 4" />
);
const Bold = ({ d }: { d: string }) => (
  <path d={d} fill="none" stroke="var(--brand)" strokeWidth={2.5} />
);
const Words = ({ x, y, children }: { x: number; y: number; children: ReactNode }) => (
  <text x={x} y={y} fontSize={11} fill="var(--ink)">
    {children}
  </text>
);

const TERMS = {
  rate: {
    title: "Rate",
    words: "How far the surface goes at full stick. Everything between shrinks with it.",
    draw: ({ rate }) => (
      <>
        <Faint d={line((s) => s)} />
        <Bold d={line((s) => s * rate)} />
        <Words x={X(-0.95)} y={Y(0.8)}>{`${Math.round(100 * rate)} % at the end`}</Words>
      </>
    ),
  },
  expo: {
    title: "Expo",
    words: "How much softer the stick is around its centre; the end stays where the rate puts it.",
    draw: ({ expo }) => (
      <>
        <Faint d={line((s) => s)} />
        <Bold d={line((s) => (1 - expo) * s + expo * s ** 3)} />
        <Words x={X(-0.95)} y={Y(0.8)}>{`centre ${Math.round(100 * (1 - expo))} % as steep`}</Words>
      </>
    ),
  },
  "sub-trim": {
    title: "Sub-trim",
    words:
      "Moves the centre of one channel. Use it for what arm and tooth leave; a large one costs travel on one side.",
    draw: ({ subTrim }) => (
      <>
        <Faint d={line((s) => s)} />
        <Bold d={line((s) => s + subTrim / 500)} />
        <Words x={X(-0.95)} y={Y(0.8)}>{`${Math.round(subTrim)} µs here`}</Words>
      </>
    ),
  },
  endpoint: {
    title: "Endpoint",
    words: "How far one channel goes on each side, whatever the sticks and mixes ask.",
    draw: ({ low, high }) => (
      <>
        <Faint d={line((s) => s)} />
        <Bold d={line((s) => s * (s < 0 ? low : high))} />
        <Words
          x={X(-0.95)}
          y={Y(0.8)}
        >{`${Math.round(100 * low)} and ${Math.round(100 * high)} %`}</Words>
      </>
    ),
  },
  differential: {
    title: "Differential",
    words:
      "Makes the down-going aileron move less than the up-going one, against yawing out of a turn.",
    draw: ({ differential }) => (
      <>
        <Faint d={line((s) => s)} />
        <Bold d={line((s) => (s < 0 ? s * (1 - differential) : s))} />
        <Words x={X(-0.95)} y={Y(0.8)}>{`down ${Math.round(100 * (1 - differential))} %`}</Words>
      </>
    ),
  },
  "start point": {
    title: "Start point",
    words: "Below it the mix does nothing; from there on it grows from zero, so nothing jumps.",
    draw: ({ start }) => (
      <>
        <Faint d={line((s) => s * 0.6)} />
        <Bold
          d={line((s) => (s > start ? 0.6 * (s - start) : s < -start ? 0.6 * (s + start) : 0))}
        />
        <Words x={X(-0.95)} y={Y(0.8)}>{`nothing within ${Math.round(100 * start)} %`}</Words>
      </>
    ),
  },
  fade: {
    title: "Fade",
    words: "A change of phase runs in a straight line for so long. Less power comes at once.",
    draw: ({ fade }) => (
      <>
        <Bold d={`M${X(-1)} ${Y(-0.6)}H${X(-0.4)}L${X(0.4)} ${Y(0.6)}H${X(1)}`} />
        <Words x={X(-0.95)} y={Y(0.8)}>{`${fade} s from one to the other`}</Words>
      </>
    ),
  },
  priority: {
    title: "Priority",
    words:
      "Phases are asked from the top: the first whose condition is true is on. The last is on when no other is.",
    draw: () => (
      <>
        {[0.75, 0.15, -0.45].map((y, i) => (
          <g key={y}>
            <rect
              x={X(-0.9)}
              y={Y(y)}
              width={120}
              height={20}
              fill={i === 1 ? "var(--brand)" : "none"}
              stroke="var(--line-strong)"
            />
            <text
              x={X(-0.85)}
              y={Y(y) + 14}
              fontSize={11}
              fill={i === 1 ? "var(--on-brand)" : "var(--ink)"}
            >
              {["not true", "true: this one is on", "not asked any more"][i]}
            </text>
          </g>
        ))}
      </>
    ),
  },
  failsafe: {
    title: "Failsafe",
    words:
      "Where the receiver sends a channel when it hears nothing. The motor's must be its stop. Prove it.",
    draw: () => (
      <>
        <path d={`M${X(0)} ${Y(1)}V${Y(-1)}`} stroke="var(--grounded)" strokeDasharray="3 3" />
        <Bold d={`M${X(-1)} ${Y(0.5)}H${X(0)}V${Y(-0.7)}H${X(1)}`} />
        <Words x={X(0.05)} y={Y(0.8)}>
          link lost
        </Words>
      </>
    ),
  },
} satisfies Record<string, Known>;

/** A term, explained where it stands with a small drawing of this model's own value. */
export function Term({ name, index = 0 }: { name: keyof typeof TERMS; index?: number }) {
  const { draft } = useModel();
  const setup = draft.present;
  const term: Known = TERMS[name];
  const channel = setup.channels[index];
  const phase = setup.phases[0];
  const values: Values = {
    expo: setup.feel.roll.expoPositivePercent / 100,
    rate: setup.feel.roll.ratePositivePercent / 100,
    subTrim: channel?.subTrimMicroseconds ?? 0,
    low: (channel?.endpointLowPercent ?? 100) / 100,
    high: (channel?.endpointHighPercent ?? 100) / 100,
    fade: phase?.fadeSeconds ?? 0,
    start: (setup.mixes.find((one) => one.startPercent > 0)?.startPercent ?? 20) / 100,
    differential: (setup.phases.flatMap((one) => one.differential)[0]?.percent ?? 50) / 100,
  };
  return (
    <Popover.Root>
      <Popover.Trigger className="underline decoration-dotted underline-offset-2">
        {term.title.toLowerCase()}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          className="z-50 w-60 rounded-card border border-line-strong bg-sheet p-3 text-sm"
        >
          <p className="font-semibold">{term.title}</p>
          <svg viewBox={`0 0 ${W} ${H}`} className="my-1 w-full" aria-hidden>
            {name !== "priority" && <Axes />}
            {term.draw(values)}
          </svg>
          <p>{term.words}</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

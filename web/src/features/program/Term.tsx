import { useState, type ReactNode } from "react";
import type { Schemas } from "@/api/client";
import { useTerms } from "@/api/program";
import { useModel } from "@/features/model/model";
import { Explained, type GLOSSARY } from "@/ui/explained";
import { say } from "@/words/generated/program";

const W = 200;
const H = 110;
const X = (s: number) => 100 + 88 * s;
const Y = (v: number) => 55 - 44 * v;
interface Known {
  /** Its name and sentence in the glossary. */
  term: keyof typeof GLOSSARY;
  /** What no curve shows. */
  draw?: (fadeSeconds: number) => ReactNode;
}

const Axes = () => (
  <path d={`M${X(-1)} ${Y(0)}H${X(1)}M${X(0)} ${Y(1.1)}V${Y(-1.1)}`} stroke="var(--line-strong)" />
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
    term: "rate",
  },
  expo: {
    term: "expo",
  },
  "sub-trim": {
    term: "subTrim",
  },
  endpoint: {
    term: "endpoint",
  },
  differential: {
    term: "aileronDifferential",
  },
  "start-point": {
    term: "startPoint",
  },
  fade: {
    term: "fade",
    draw: (fade) => (
      <>
        <Bold d={`M${X(-1)} ${Y(-0.6)}H${X(-0.4)}L${X(0.4)} ${Y(0.6)}H${X(1)}`} />
        <Words x={X(-0.95)} y={Y(0.8)}>
          {say("term.fades", { fade })}
        </Words>
      </>
    ),
  },
  priority: {
    term: "priority",
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
              {[say("term.notTrue"), say("term.trueOne"), say("term.unchecked")][i]}
            </text>
          </g>
        ))}
      </>
    ),
  },
  failsafe: {
    term: "failsafe",
    draw: () => (
      <>
        <path d={`M${X(0)} ${Y(1)}V${Y(-1)}`} stroke="var(--grounded)" strokeDasharray="3 3" />
        <Bold d={`M${X(-1)} ${Y(0.5)}H${X(0)}V${Y(-0.7)}H${X(1)}`} />
        <Words x={X(0.05)} y={Y(0.8)}>
          {say("term.linkLost")}
        </Words>
      </>
    ),
  },
} satisfies Record<string, Known>;

/** A term, explained where it stands with a small drawing of this model's own value. */
export function Term({ name, index = 0 }: { name: keyof typeof TERMS; index?: number }) {
  const { draft } = useModel();
  const setup = draft.present;
  const [open, setOpen] = useState(false);
  const curves = useTerms(setup, index, open);
  const known: Known = TERMS[name];
  const curve = curves.data?.find((one) => one.term === name);
  return (
    <Explained
      term={known.term}
      onOpen={setOpen}
      drawing={
        <svg viewBox={`0 0 ${W} ${H}`} className="my-1 w-full" aria-hidden data-term={name}>
          {name !== "priority" && <Axes />}
          {known.draw?.(setup.phases[0]?.fadeSeconds ?? 0)}
          {curve !== undefined && <Curve curve={curve} />}
        </svg>
      }
    />
  );
}

/** Without it, dashed, and with it. */
function Curve({ curve }: { curve: Schemas["TermCurve"] }) {
  const line = (values: number[]) =>
    values
      .map(
        (v, i) => `${i === 0 ? "M" : "L"}${X(curve.places[i] ?? 0).toFixed(1)} ${Y(v).toFixed(1)}`,
      )
      .join("");
  return (
    <>
      <path d={line(curve.plain)} fill="none" stroke="var(--soft)" strokeDasharray="4 4" />
      <Bold d={line(curve.now)} />
      <Words x={X(-0.95)} y={Y(0.9)}>
        {curve.caption}
      </Words>
    </>
  );
}

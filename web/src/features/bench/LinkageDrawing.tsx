import { figure, length } from "@/domain/reader";
import type { Surface } from "@/domain/contract";
import { useBench, type Frame } from "./store";
import { Say, say } from "@/words/generated/bench";

type LinkageView = NonNullable<Frame["linkage"]>;

interface P {
  x: number;
  y: number;
}

const WIDTH = 560;
const HEIGHT = 190;
/** A rod longer than this many arm and horn lengths is drawn with a break in it. */
const LONGEST_IN_RADII = 3.2;

/** The selected surface's linkage to scale, in its present position. */
export function LinkageDrawing() {
  const view = useBench((state) => state.frame?.linkage);
  const setup = useBench((state) => state.setup);
  const id = useBench((state) => state.frame?.tally.surface);
  const surface = setup?.surfaces.find((one) => one.id === id);
  if (view === undefined || surface === undefined) {
    return null;
  }
  const drawn = laidOut(surface, view);
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="mm-paper block w-full rounded-card border border-line"
        role="img"
        aria-label={say("linkageDrawing.picture", {
          surface: surface.name,
          figure: figure(view.driverDegrees, 1),
          figureOther: figure(view.surfaceDegrees, 1),
        })}
      >
        <Parts drawn={drawn} />
      </svg>
      <figcaption className="mt-1 text-xs text-soft">
        <Say
          id="linkageDrawing.driver"
          values={{
            driver: surface.rod.driver === "SERVO",
            b: <b className="figures text-ink">{figure(view.driverDegrees, 1)}°</b>,
            bOther: <b className="figures text-ink">{figure(view.surfaceDegrees, 1)}°</b>,
            value: typeof view.gain === "number" && (
              <>
                <Say
                  id="linkageDrawing.perDegree"
                  values={{
                    b: <b className="figures text-ink">{figure(Math.abs(view.gain), 2)}°</b>,
                  }}
                />
              </>
            ),
            cut: drawn.cut > 0,
            length: length(drawn.cut, 0),
          }}
        />
      </figcaption>
    </figure>
  );
}

/** Where everything lies on the paper, and how much of the rod is left out. */
function laidOut(surface: Surface, view: LinkageView) {
  const { armRadiusMm, hornRadiusMm, rodLengthMm, opposite, pushRaises } = surface.rod.linkage;
  const longest = LONGEST_IN_RADII * (armRadiusMm + hornRadiusMm);
  const cut = Math.max(0, rodLengthMm - longest);
  const back = (p: P): P => ({ x: p.x - cut, y: p.y });
  const { shaft, armHole } = view.pose;
  const hinge = back(view.pose.hinge);
  const hornHole = back(view.pose.hornHole);
  const flip = opposite !== pushRaises ? -1 : 1;
  const down = opposite ? 1 : -1;
  const turn = ((view.surfaceDegrees * Math.PI) / 180) * (pushRaises ? 1 : -1);
  const edge = {
    x: hinge.x + surface.chordMm * Math.cos(turn),
    y: hinge.y + down * surface.chordMm * Math.sin(turn),
  };
  const points = [
    shaft,
    armHole,
    hinge,
    hornHole,
    edge,
    { x: hinge.x + surface.chordMm, y: hinge.y },
  ];
  const reach = armRadiusMm + hornRadiusMm;
  const left = shaft.x - armRadiusMm - 4;
  const width = Math.max(...points.map((p) => p.x)) + 6 - left;
  const scale = Math.min((WIDTH - 40) / width, (HEIGHT - 40) / (2.4 * reach));
  const middle = (Math.max(...points.map((p) => p.y)) + Math.min(...points.map((p) => p.y))) / 2;
  const at = (p: P): P => ({
    x: 20 + (p.x - left) * scale,
    y: HEIGHT / 2 - flip * (p.y - middle) * scale,
  });
  const s = at(shaft);
  const a = at(armHole);
  const h = at(hinge);
  const b = at(hornHole);
  const t = at(edge);
  const n = at({ x: hinge.x + surface.chordMm, y: hinge.y });
  return {
    cut,
    shaft: s,
    armHole: a,
    hinge: h,
    hornHole: b,
    edge: t,
    neutral: n,
    armRadius: armRadiusMm * scale,
    hornRadius: hornRadiusMm * scale,
  };
}

function Parts({ drawn }: { drawn: ReturnType<typeof laidOut> }) {
  const { shaft: s, armHole: a, hinge: h, hornHole: b, edge: t, neutral: n } = drawn;
  return (
    <>
      <line x1={h.x} y1={h.y} x2={n.x} y2={n.y} stroke="var(--line-strong)" strokeDasharray="4 4" />
      <line
        x1={h.x}
        y1={h.y}
        x2={t.x}
        y2={t.y}
        stroke="var(--plus)"
        strokeWidth={9}
        strokeLinecap="round"
        opacity={0.45}
      />
      <circle
        cx={s.x}
        cy={s.y}
        r={drawn.armRadius}
        fill="none"
        stroke="var(--line-strong)"
        strokeDasharray="2 5"
      />
      <circle
        cx={h.x}
        cy={h.y}
        r={drawn.hornRadius}
        fill="none"
        stroke="var(--line-strong)"
        strokeDasharray="2 5"
      />
      <line
        x1={s.x}
        y1={s.y}
        x2={a.x}
        y2={a.y}
        stroke="var(--ink)"
        strokeWidth={7}
        strokeLinecap="round"
      />
      <line
        x1={h.x}
        y1={h.y}
        x2={b.x}
        y2={b.y}
        stroke="var(--ink)"
        strokeWidth={7}
        strokeLinecap="round"
      />
      <RodLine from={a} to={b} broken={drawn.cut > 0} />
      {[s, h].map((p, i) => (
        <circle
          key={i}
          cx={p.x}
          cy={p.y}
          r={7}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth={2.5}
        />
      ))}
      {[a, b].map((p, i) => (
        <circle
          key={i}
          cx={p.x}
          cy={p.y}
          r={4}
          fill="var(--tag)"
          stroke="var(--ink)"
          strokeWidth={1.5}
        />
      ))}
    </>
  );
}

function RodLine({ from, to, broken }: { from: P; to: P; broken: boolean }) {
  const along = (part: number): P => ({
    x: from.x + (to.x - from.x) * part,
    y: from.y + (to.y - from.y) * part,
  });
  const style = { stroke: "var(--soft)", strokeWidth: 3.5 };
  if (!broken) {
    return <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} {...style} />;
  }
  const [left, right] = [along(0.47), along(0.53)];
  return (
    <>
      <line x1={from.x} y1={from.y} x2={left.x} y2={left.y} {...style} />
      <line x1={right.x} y1={right.y} x2={to.x} y2={to.y} {...style} />
      {[left, right].map((p, i) => (
        <path
          key={i}
          d={`M${p.x - 3} ${p.y + 10}q6-5 3-10t3-10`}
          fill="none"
          stroke="var(--soft)"
          strokeWidth={1.6}
        />
      ))}
    </>
  );
}

import { signed, type Control, type Way, keyOf, wayWords } from "@/domain/words";
import { useBench, type Sheet } from "./store";

type Throw = Sheet["controls"][number];

const W = 300;
const H = 190;
const PAD = { left: 38, right: 10, top: 10, bottom: 24 };

/** Stick against millimetres of the selected surface; the dot is where the stick is. */
export function CurvePlot({ one, way }: { one: Throw; way: Way }) {
  const stick = useBench((state) => state.moment[keyOf(one.control as Control)]);
  const most = Math.max(1, ...one.curve.map(Math.abs)) * 1.08;
  const x = (s: number) => PAD.left + ((s + 1) / 2) * (W - PAD.left - PAD.right);
  const y = (mm: number) => PAD.top + ((most - mm) / (2 * most)) * (H - PAD.top - PAD.bottom);
  const last = one.curve.length - 1;
  const path = one.curve
    .map((mm, i) => `${i === 0 ? "M" : "L"}${x((2 * i) / last - 1).toFixed(1)} ${y(mm).toFixed(1)}`)
    .join("");
  const place = ((stick + 1) / 2) * last;
  const low = Math.floor(place);
  const from = one.curve[low] ?? 0;
  const here = from + ((one.curve[Math.min(last, low + 1)] ?? from) - from) * (place - low);
  const [plus] = wayWords(way);
  const tick = Math.round(most / 1.08);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="mm-paper block w-full rounded-card border border-line"
      role="img"
      aria-label={`Response: ${one.minusMm.toFixed(1)} mm at full minus stick, ${one.plusMm.toFixed(1)} mm at full plus stick`}
    >
      <path
        d={`M${x(-1)} ${y(0)}H${x(1)}M${x(0)} ${y(most)}V${y(-most)}`}
        stroke="var(--line-strong)"
      />
      {[tick, -tick].map((mm) => (
        <text
          key={mm}
          x={PAD.left - 5}
          y={y(mm) + 4}
          fontSize={11}
          textAnchor="end"
          fill="var(--soft)"
          className="figures"
        >
          {signed(mm, 0)}
        </text>
      ))}
      <text x={PAD.left + 4} y={PAD.top + 12} fontSize={11} fill="var(--soft)">
        mm, plus is {plus}
      </text>
      <text x={W - PAD.right} y={H - 8} fontSize={11} textAnchor="end" fill="var(--soft)">
        stick: {one.control === "PITCH" ? "forward to back" : "left to right"}
      </text>
      <path d={path} fill="none" stroke="var(--ink)" strokeWidth={2.5} />
      <circle
        cx={x(stick)}
        cy={y(here)}
        r={6}
        fill="var(--tag)"
        stroke="var(--ink)"
        strokeWidth={2}
      />
    </svg>
  );
}

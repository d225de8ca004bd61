import { lengthEntered } from "@/domain/reader";
import { corners, type Vec } from "@/domain/drawing";
import type { Setup } from "@/api/queries";
import { say } from "@/words/generated/rig";

const WIDTH = 560;

/** The model from above, nose left, with the range that may be flown and every pack's mark. */
export function BalanceDrawing({ setup }: { setup: Setup }) {
  const { targetMm, foremostMm, aftmostMm, packs, datum, datumAftMm } = setup.balance;
  const points = setup.airframe.panels.flatMap(corners);
  const aft = [
    ...points.map((one) => one.aft),
    ...setup.airframe.fuselage.map((one) => one.aftMm),
    datumAftMm + targetMm + 20,
  ];
  const [from, to] = [Math.min(0, ...aft), Math.max(...aft)];
  const half = Math.max(60, ...points.map((one) => Math.abs(one.right)));
  const scale = (WIDTH - 40) / (to - from);
  const shown = Math.min(half, (to - from) * 0.22);
  const height = 2 * shown * scale + 46;
  const middle = height / 2 - 4;
  const x = (mm: number) => 20 + (mm - from) * scale;
  const station = (mm: number) => x(datumAftMm + mm);
  const at = (one: Vec) =>
    `${x(one.aft)},${middle + Math.max(-shown, Math.min(shown, one.right)) * scale}`;
  const body = setup.airframe.fuselage;
  const outline = [
    ...body.map((s) => ({ aft: s.aftMm, right: -s.halfWidthMm, up: 0 })),
    ...[...body].reverse().map((s) => ({ aft: s.aftMm, right: s.halfWidthMm, up: 0 })),
  ];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="mm-paper block w-full rounded-card border border-line"
      role="img"
      aria-label={say("balanceDrawing.picture", {
        lengthEntered: lengthEntered(targetMm),
        datum,
      })}
    >
      {setup.airframe.panels.map((panel) => (
        <polygon
          key={panel.id}
          points={corners(panel).map(at).join(" ")}
          fill="var(--inset)"
          stroke="var(--line-strong)"
        />
      ))}
      <polygon points={outline.map(at).join(" ")} fill="var(--sheet)" stroke="var(--line-strong)" />
      <rect
        x={station(foremostMm)}
        y={8}
        width={Math.max(2, (aftmostMm - foremostMm) * scale)}
        height={height - 34}
        fill="var(--done)"
        opacity={0.25}
      />
      <path d={`M${station(targetMm)} 8V${height - 26}`} stroke="var(--done)" strokeWidth={2.5} />
      <text
        x={station(targetMm)}
        y={height - 10}
        fontSize={12}
        textAnchor={targetMm < 0 ? "end" : "start"}
        fill="var(--done)"
      >
        {say("balanceDrawing.wanted", { lengthEntered: lengthEntered(targetMm) })}
      </text>
      <path
        d={`M${x(datumAftMm)} 8V${height - 26}`}
        stroke="var(--line-strong)"
        strokeDasharray="3 4"
      />
      <text
        x={x(datumAftMm)}
        y={height - 10}
        fontSize={12}
        fill="var(--soft)"
        textAnchor={targetMm < 0 ? "start" : "end"}
      >
        {say("balanceDrawing.datum")}
      </text>
      {packs.map((pack, i) => (
        <g key={i}>
          <circle cx={station(pack.cgMm)} cy={middle} r={6} fill="var(--tag)" stroke="var(--ink)" />
          <text
            x={station(pack.cgMm) + 10}
            y={middle - 8 + i * 15}
            fontSize={12}
            fontWeight={600}
            fill="var(--ink)"
            stroke="var(--sheet)"
            strokeWidth={4}
            paintOrder="stroke"
          >
            {pack.name}
          </text>
        </g>
      ))}
    </svg>
  );
}

import { size } from "@/domain/words";
import type { StepResult } from "@/api/rig";
import { say } from "@/words/generated/benchsetup";

type Seat = StepResult["seats"][number];

const SIZE = 220;
const C = SIZE / 2;

/** Where a point of the horn lies; 0° is 90° to the pushrod, plus turns towards the surface. */
const at = (degrees: number, radius: number) => {
  const turned = (degrees * Math.PI) / 180;
  return { x: C + radius * Math.sin(turned), y: C - radius * Math.cos(turned) };
};

/** The servo's horn as it stands and as it should be seated, with the teeth it can turn by. */
export function SeatDrawing({ seat }: { seat: Seat }) {
  const arms = Array.from({ length: seat.arms }, (_, i) => (i * 360) / seat.arms);
  const teeth = Array.from({ length: seat.teeth }, (_, i) => (i * 360) / seat.teeth);
  const now = seat.offDegrees;
  const then = seat.offDegrees + seat.reachedDegrees;
  return (
    <figure className="mm-paper rounded-card border border-line p-2">
      <svg
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        className="mx-auto block w-full max-w-64"
        role="img"
        aria-label={say("seatDrawing.armLeft", {
          arm: seat.arm + 1,
          arms: seat.arms,
          size: size(seat.remainderDegrees, 1),
        })}
      >
        <path d={`M${C} ${C}V8`} stroke="var(--done)" strokeWidth={2} strokeDasharray="6 4" />
        <text x={C + 6} y={16} fontSize={11} fill="var(--done)">
          {say("seatDrawing.square")}
        </text>
        {arms.map((arm) => {
          const end = at(now + arm, 78);
          return (
            <line
              key={arm}
              x1={C}
              y1={C}
              x2={end.x}
              y2={end.y}
              stroke="var(--line-strong)"
              strokeWidth={arm === 0 ? 9 : 5}
              strokeLinecap="round"
              opacity={0.45}
            />
          );
        })}
        {arms.map((arm) => {
          const turned = then + arm - (seat.arm * 360) / seat.arms;
          const used = arm === (seat.arm * 360) / seat.arms;
          const end = at(turned, used ? 92 : 70);
          return (
            <g key={arm}>
              <line
                x1={C}
                y1={C}
                x2={end.x}
                y2={end.y}
                stroke="var(--brand)"
                strokeWidth={used ? 10 : 3}
                strokeLinecap="round"
                opacity={used ? 1 : 0.35}
              />
              {used && <circle cx={end.x} cy={end.y} r={3} fill="var(--sheet)" />}
            </g>
          );
        })}
        <circle cx={C} cy={C} r={24} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={2} />
        {teeth.map((tooth) => {
          const [a, b] = [at(tooth, 20), at(tooth, 24)];
          return <line key={tooth} x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke="var(--ink)" />;
        })}
      </svg>
      <figcaption className="text-sm text-soft">
        {say("seatDrawing.legend", { size: size(seat.remainderDegrees, 1) })}
      </figcaption>
    </figure>
  );
}

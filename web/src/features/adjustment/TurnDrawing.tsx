import type { PlannedRod } from "@/api/queries";
import { directionWord, type Way } from "@/domain/words";
import { turnWords } from "./turn-words";
import { say } from "@/words/generated/adjustment";

interface Props {
  rod: PlannedRod;
  way: Way;
}

/** Which way the end turns, seen from the surface, and which way rod and trailing edge go. */
export function TurnDrawing({ rod, way }: Props) {
  const out = rod.steps > 0;
  const turning = rod.sixths !== 0;
  const moves = rod.afterMm - rod.todayMm;
  const words = turnWords(rod, way);
  return (
    <figure className="w-44 sm:w-56">
      <svg
        viewBox="0 0 220 150"
        className="mm-paper w-full rounded-card border border-line"
        role="img"
        aria-label={words}
      >
        {turning && (
          <g transform={out ? "translate(140 0) scale(-1 1)" : undefined}>
            <path
              d="M42 82A32 32 0 1 1 96 88"
              fill="none"
              stroke="var(--ink)"
              strokeWidth={6}
              strokeLinecap="round"
            />
            <path d="M106 74 96 94 80 80Z" fill="var(--ink)" />
            <rect
              x={58}
              y={56}
              width={24}
              height={24}
              rx={3}
              fill="var(--inset)"
              stroke="var(--ink)"
              strokeWidth={2.5}
            />
            <circle cx={70} cy={68} r={5} fill="var(--tag)" stroke="var(--ink)" />
          </g>
        )}
        <g
          transform="translate(150 8)"
          stroke="var(--ink)"
          strokeWidth={4}
          fill="none"
          strokeLinecap="round"
        >
          <path d="M4 34H56" strokeWidth={6} />
          {out ? (
            <path d="M-2 16H62M-2 16l9-7M-2 16l9 7M62 16l-9-7M62 16l-9 7" />
          ) : (
            <path d="M-2 16H20M20 16l-9-7M20 16l-9 7M62 16H40M40 16l9-7M40 16l9 7" />
          )}
        </g>
        <text x={180} y={62} fontSize={14} textAnchor="middle" fill="var(--soft)">
          {out ? say("turnDrawing.longer") : say("turnDrawing.shorter")}
        </text>
        <Edge plus={moves > 0} />
        <text x={180} y={136} fontSize={14} textAnchor="middle" fill="var(--soft)">
          {say("turnDrawing.edge", { direction: directionWord(way, moves) })}
        </text>
        <text x={70} y={136} fontSize={14} textAnchor="middle" fill="var(--soft)">
          {turning ? say("turnDrawing.seenFrom") : ""}
        </text>
      </svg>
    </figure>
  );
}

/** The surface from its hinge: where it stood, dashed, and where it goes. Plus is up in the picture. */
function Edge({ plus }: { plus: boolean }) {
  const tilt = plus ? -14 : 14;
  return (
    <g transform="translate(150 94)" stroke="var(--ink)" fill="none" strokeLinejoin="round">
      <path d="M0-7 58 0 0 7Z" strokeDasharray="4 3" stroke="var(--soft)" strokeWidth={1.5} />
      <path
        d="M0-7 58 0 0 7Z"
        fill="var(--inset)"
        strokeWidth={2.5}
        transform={`rotate(${tilt})`}
      />
      <circle r={4} fill="var(--tag)" />
    </g>
  );
}

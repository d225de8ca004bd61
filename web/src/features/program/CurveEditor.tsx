import { useId, useRef } from "react";
import type { CurvePoint } from "@/api/program";
import { COMMAND, type Scale } from "@/domain/scales";
import { say } from "@/words/generated/program";

const W = 300;
const H = 200;
const MOST = 100;

interface Props {
  points: CurvePoint[];
  label: string;
  /** A drag is one thing the pilot does: all of it carries the same gesture. */
  onPoints: (points: CurvePoint[], gesture?: string) => void;
  /** How far a point may go. */
  limits: { x: Range; y: Range };
  /** How places along and up the curve are told. */
  scales?: { x: Scale; y: Scale };
  onAdd: () => void;
}

const PLAIN = { x: COMMAND, y: COMMAND };

interface Range {
  min: number;
  max: number;
}

const x = (value: number) => ((value + 100) / 200) * W;
const y = (value: number) => H / 2 - (value / MOST) * (H / 2 - 8);

/** A curve edited by dragging its points, with the arrow keys, or by typing. */
export function CurveEditor({ points, label, onPoints, limits, scales = PLAIN, onAdd }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const id = useId();
  const drags = useRef(0);
  const place = (index: number, to: CurvePoint, gesture?: string) => {
    const low = points[index - 1]?.x ?? limits.x.min - 1;
    const high = points[index + 1]?.x ?? limits.x.max + 1;
    const clamped = {
      x: Math.round(Math.max(low + 1, Math.min(high - 1, to.x))),
      y: Math.round(Math.max(limits.y.min, Math.min(limits.y.max, to.y))),
    };
    onPoints(
      points.map((one, i) => (i === index ? clamped : one)),
      gesture,
    );
  };
  const drag = (index: number) => (event: React.PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (event.buttons === 1 && box !== undefined) {
      const to = {
        x: ((event.clientX - box.left) / box.width) * 200 - 100,
        y: ((H / 2 - ((event.clientY - box.top) / box.height) * H) / (H / 2 - 8)) * MOST,
      };
      place(index, to, `${id} ${drags.current}`);
    }
  };
  return (
    <div className="grid gap-2 sm:grid-cols-[300px_1fr]">
      <svg
        ref={svg}
        viewBox={`0 0 ${W} ${H}`}
        className="mm-paper w-full touch-none overflow-visible rounded-card border border-line"
        role="group"
        aria-label={label}
      >
        <path
          d={`M0 ${y(scales.y.base)}H${W}M${x(scales.x.base)} 0V${H}`}
          stroke="var(--line-strong)"
        />
        <polyline
          points={[
            `0,${y(points[0]?.y ?? 0)}`,
            ...points.map((one) => `${x(one.x)},${y(one.y)}`),
            `${W},${y(points.at(-1)?.y ?? 0)}`,
          ].join(" ")}
          fill="none"
          stroke="var(--brand)"
          strokeWidth={2.5}
        />
        {points.map((one, i) => (
          <circle
            key={i}
            cx={x(one.x)}
            cy={y(one.y)}
            r={8}
            fill="var(--tag)"
            stroke="var(--ink)"
            tabIndex={0}
            role="slider"
            aria-label={say("curveEditor.point", { i: i + 1 })}
            aria-valuenow={one.y}
            aria-valuetext={[
              `${scales.y.show(one.y)} %`,
              scales.y.word(one.y),
              say("curveEditor.at", { show: scales.x.show(one.x) }),
            ]
              .filter((part) => part !== "")
              .join(" ")}
            className="cursor-grab"
            onPointerDown={(event) => {
              drags.current += 1;
              event.currentTarget.setPointerCapture(event.pointerId);
            }}
            onPointerMove={drag(i)}
            onKeyDown={(event) => {
              const by = {
                ArrowUp: [0, 1],
                ArrowDown: [0, -1],
                ArrowLeft: [-1, 0],
                ArrowRight: [1, 0],
              }[event.key];
              if (by !== undefined) {
                event.preventDefault();
                place(i, { x: one.x + (by[0] ?? 0), y: one.y + (by[1] ?? 0) });
              }
            }}
          />
        ))}
      </svg>
      <PointList points={points} scales={scales} onPoints={onPoints} onAdd={onAdd} />
    </div>
  );
}

function PointList({ points, scales = PLAIN, onPoints, onAdd }: Omit<Props, "label" | "limits">) {
  const type = (index: number, key: "x" | "y", text: string) => {
    const value = Number(text.replace(",", "."));
    if (text.trim() !== "" && Number.isFinite(value)) {
      const stored = scales[key].store(value);
      onPoints(points.map((one, i) => (i === index ? { ...one, [key]: stored } : one)));
    }
  };
  return (
    <ul className="figures space-y-1 text-sm">
      {points.map((one, i) => (
        <li key={`${i}-${one.x}-${one.y}`} className="flex items-center gap-1">
          <input
            aria-label={say("curveEditor.pointAt", { i: i + 1 })}
            defaultValue={scales.x.show(one.x)}
            className="h-7 w-16 rounded-card border border-line-strong bg-sheet px-1.5 text-right"
            onBlur={(event) => type(i, "x", event.target.value)}
          />
          % →
          <input
            aria-label={say("curveEditor.pointValue", { i: i + 1 })}
            defaultValue={scales.y.show(one.y)}
            className="h-7 w-16 rounded-card border border-line-strong bg-sheet px-1.5 text-right"
            onBlur={(event) => type(i, "y", event.target.value)}
          />
          % {scales.y.word(one.y)}
          {points.length > 2 && (
            <button
              type="button"
              className="px-1 underline"
              aria-label={say("curveEditor.removePoint", { i: i + 1 })}
              onClick={() => onPoints(points.filter((_, other) => other !== i))}
            >
              {say("curveEditor.remove")}
            </button>
          )}
        </li>
      ))}
      <li>
        <button type="button" className="underline" onClick={onAdd}>
          {say("curveEditor.anotherPoint")}
        </button>
      </li>
    </ul>
  );
}

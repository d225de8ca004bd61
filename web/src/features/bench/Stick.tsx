import { useEffect, useEffectEvent, useRef, type KeyboardEvent, type PointerEvent } from "react";
import type { Moment } from "./store";
import { say } from "@/words/generated/bench";

export type Axis = "roll" | "pitch" | "yaw" | "throttle";

interface Props {
  side: "left" | "right";
  across: Axis;
  along: Axis;
  moment: Moment;
  stays: boolean;
  size: number;
  onMove: (axis: Axis, value: number) => void;
}

const KEY_STEP = 0.1;
/** With Shift held, and by the wheel. */
const FINE_STEP = 0.01;
/** The knob's way, as a part of half the pad: the rest is the knob's own size. */
const REACH = 0.78;

/** Down the page is towards the pilot: up elevator is nose up, throttle forward is power. */
const toPage = (axis: Axis, value: number) => (axis === "throttle" ? 1 - 2 * value : value);
const fromPage = (axis: Axis, value: number) => (axis === "throttle" ? (1 - value) / 2 : value);

const percent = (axis: Axis, value: number) => {
  const size = Math.round(Math.abs(value) * 100);
  const [plus, minus] = axis === "pitch" ? ["back", "forward"] : ["right", "left"];
  const way = axis === "throttle" || size === 0 ? "" : value > 0 ? plus : minus;
  return say("stick.axis", { axis, size, way });
};

/** One stick: dragged, or moved with the arrow keys while it has the focus; Home centres it. */
export function Stick({ side, across, along, moment, stays, size, onMove }: Props) {
  const pad = useRef<SVGSVGElement>(null);
  const x = toPage(across, moment[across]);
  const y = toPage(along, moment[along]);

  const follow = (event: PointerEvent) => {
    const box = pad.current?.getBoundingClientRect();
    if (box === undefined) {
      return;
    }
    const half = (box.width / 2) * REACH;
    const clamp = (value: number) => Math.max(-1, Math.min(1, value));
    onMove(across, fromPage(across, clamp((event.clientX - box.left - box.width / 2) / half)));
    onMove(along, fromPage(along, clamp((event.clientY - box.top - box.height / 2) / half)));
  };
  const centre = () => {
    [across, along].filter((axis) => axis !== "throttle").forEach((axis) => onMove(axis, 0));
  };
  const nudge = (axis: Axis, by: number) => {
    const low = axis === "throttle" ? 0 : -1;
    onMove(axis, Math.round(Math.max(low, Math.min(1, moment[axis] + by)) * 100) / 100);
  };
  const wheel = useEffectEvent((event: WheelEvent) => {
    event.preventDefault();
    const away = event.deltaY < 0;
    const axis = event.shiftKey ? across : along;
    nudge(axis, away === (axis === "throttle") ? FINE_STEP : -FINE_STEP);
  });
  useEffect(() => {
    // A stick turned by the wheel shall not move the page as well.
    const box = pad.current;
    const turned = (event: WheelEvent) => wheel(event);
    box?.addEventListener("wheel", turned, { passive: false });
    return () => box?.removeEventListener("wheel", turned);
  }, []);
  const key = (event: KeyboardEvent) => {
    const step = event.shiftKey ? FINE_STEP : KEY_STEP;
    const moves: Record<string, [Axis, number]> = {
      ArrowLeft: [across, -step],
      ArrowRight: [across, step],
      ArrowUp: [along, along === "throttle" ? step : -step],
      ArrowDown: [along, along === "throttle" ? -step : step],
    };
    const found = moves[event.key];
    if (event.key === "Home") {
      centre();
    } else if (found !== undefined) {
      nudge(...found);
    } else {
      return;
    }
    event.preventDefault();
  };

  const c = size / 2;
  const half = c * REACH;
  const words = `${percent(across, moment[across])}, ${percent(along, moment[along])}`;
  return (
    <div className="text-center">
      <svg
        ref={pad}
        width={size}
        height={size}
        role="application"
        tabIndex={0}
        data-stick={side}
        aria-label={say("stick.name", { side, words })}
        className="touch-none rounded-card border border-line-strong bg-inset select-none"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          follow(event);
        }}
        onPointerMove={(event) => {
          if (event.currentTarget.hasPointerCapture(event.pointerId)) {
            follow(event);
          }
        }}
        onPointerUp={() => {
          if (!stays) {
            centre();
          }
        }}
        onKeyDown={key}
      >
        <Knob c={c} half={half} x={x} y={y} />
      </svg>
      <div className="mt-1 text-xs leading-tight text-soft">
        <div>{percent(across, moment[across])}</div>
        <div>{percent(along, moment[along])}</div>
      </div>
    </div>
  );
}

/** The cross of the middle, the stick's way from it, and its knob. */
function Knob({ c, half, x, y }: { c: number; half: number; x: number; y: number }) {
  return (
    <>
      <path
        d={`M${c} ${c - half}V${c + half}M${c - half} ${c}H${c + half}`}
        stroke="var(--line-strong)"
        strokeDasharray="2 4"
      />
      <line
        x1={c}
        y1={c}
        x2={c + x * half}
        y2={c + y * half}
        stroke="var(--ink)"
        strokeWidth={5}
        strokeLinecap="round"
      />
      <circle
        cx={c + x * half}
        cy={c + y * half}
        r={15}
        fill="var(--brand)"
        stroke="var(--sheet)"
        strokeWidth={2}
      />
      <circle
        cx={c + x * half}
        cy={c + y * half}
        r={5}
        fill="none"
        stroke="var(--on-brand)"
        strokeWidth={1.5}
      />
    </>
  );
}

import { useEffect } from "react";
import { axesOf } from "./StickPads";
import type { Axis } from "./Stick";
import { useBenchStore, type Moment } from "./store";

/** Smaller movements are the controller's own noise. */
const DEAD_ZONE = 0.03;

/** A plugged-in game controller moves the sticks, by the pilot's mode; axes 0 to 3 are the two sticks. */
export function useGamepad(mode: number): void {
  const store = useBenchStore();
  useEffect(() => {
    let frame = 0;
    let last = "";
    const poll = () => {
      const pad = navigator.getGamepads().find((one) => one !== null);
      if (pad) {
        const part = momentOf(pad.axes, mode);
        const text = JSON.stringify(part);
        if (text !== last) {
          last = text;
          store.move(part);
        }
      }
      frame = requestAnimationFrame(poll);
    };
    const start = () => {
      cancelAnimationFrame(frame);
      poll();
    };
    addEventListener("gamepadconnected", start);
    return () => {
      removeEventListener("gamepadconnected", start);
      cancelAnimationFrame(frame);
    };
  }, [store, mode]);
}

/** Positions of the sticks from a controller's axes: right and down are plus there. */
export function momentOf(axes: readonly number[], mode: number): Partial<Moment> {
  const { left, right } = axesOf(mode);
  const order: Axis[] = [...left, ...right];
  const part: Partial<Moment> = {};
  order.forEach((axis, i) => {
    const raw = axes[i] ?? 0;
    const value = Math.abs(raw) < DEAD_ZONE ? 0 : Math.round(raw * 1000) / 1000;
    part[axis] = axis === "throttle" ? (1 - value) / 2 : value;
  });
  return part;
}

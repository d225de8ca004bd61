import { useSyncExternalStore } from "react";
import { keep, kept } from "./storage";

/** What movements are typed in. */
export type MovementUnit = "MILLIMETRES" | "DEGREES" | "PERCENT";

export const MOVEMENT_UNITS = [
  ["MILLIMETRES", "millimetres"],
  ["DEGREES", "degrees"],
  ["PERCENT", "percent"],
] as const satisfies readonly (readonly [MovementUnit, string])[];

const KEY = "high-tally.movement-unit";
const isUnit = (value: unknown): value is MovementUnit =>
  MOVEMENT_UNITS.some(([unit]) => unit === value);

const listeners = new Set<() => void>();
let chosen: MovementUnit | undefined;

function read(): MovementUnit {
  if (chosen === undefined) {
    const before = kept(KEY, isUnit);
    chosen = before.state === "kept" ? before.value : "MILLIMETRES";
  }
  return chosen;
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** The unit of every field for a movement, and a way to choose it. */
export function useMovementUnit(): readonly [MovementUnit, (unit: MovementUnit) => void] {
  const unit = useSyncExternalStore(subscribe, read);
  return [
    unit,
    (next) => {
      chosen = next;
      keep(KEY, next);
      listeners.forEach((listener) => listener());
    },
  ];
}

import { useSyncExternalStore } from "react";
import { keep, kept } from "./storage";

/** A choice of the reader's, kept in this browser. */
export interface Preference<T extends string> {
  values: readonly T[];
  now: () => T;
  choose: (value: T) => void;
  subscribe: (listener: () => void) => () => void;
}

/** A choice among a few values; what was kept and is none of them counts for nothing. */
export function preference<T extends string>(
  name: string,
  values: readonly [T, ...T[]],
): Preference<T> {
  const key = `high-tally.${name}`;
  const isOne = (value: unknown): value is T => values.some((one) => one === value);
  const listeners = new Set<() => void>();
  let chosen: T | undefined;
  const now = () => {
    if (chosen === undefined) {
      const before = kept(key, isOne);
      chosen = before.state === "kept" ? before.value : values[0];
    }
    return chosen;
  };
  return {
    values,
    now,
    choose: (value) => {
      chosen = value;
      keep(key, value);
      listeners.forEach((listener) => listener());
    },
    subscribe: (listener) => {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}

/** What is chosen, and a way to choose; whoever shows it is drawn anew when it changes. */
export function usePreference<T extends string>(
  of: Preference<T>,
): readonly [T, (value: T) => void] {
  return [useSyncExternalStore(of.subscribe, of.now), of.choose];
}

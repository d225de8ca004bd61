import { signal } from "./signal";
import { keep, kept } from "./storage";

/** A choice of the reader's, kept in this browser. */
export interface Preference<T extends string> {
  values: readonly T[];
  now: () => T;
  choose: (value: T) => void;
  use: () => T;
}

/** A choice among a few values; what was kept and is none of them counts for nothing. */
export function preference<T extends string>(
  name: string,
  values: readonly [T, ...T[]],
): Preference<T> {
  const key = `high-tally.${name}`;
  const isOne = (value: unknown): value is T => values.some((one) => one === value);
  const before = kept(key, isOne);
  const chosen = signal<T>(before.state === "kept" ? before.value : values[0]);
  return {
    values,
    now: chosen.now,
    use: chosen.use,
    choose: (value) => {
      keep(key, value);
      chosen.set(value);
    },
  };
}

/** What is chosen, and a way to choose; whoever shows it is drawn anew when it changes. */
export function usePreference<T extends string>(
  of: Preference<T>,
): readonly [T, (value: T) => void] {
  return [of.use(), of.choose];
}

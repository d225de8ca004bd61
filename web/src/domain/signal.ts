import { useSyncExternalStore } from "react";

/** A value that several parts of the page look at; whoever looks is drawn anew when it changes. */
export function signal<T>(first: T) {
  let value = first;
  const listeners = new Set<() => void>();
  const subscribe = (listener: () => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  };
  const now = () => value;
  return {
    now,
    subscribe,
    set: (next: T) => {
      if (!Object.is(next, value)) {
        value = next;
        listeners.forEach((listener) => listener());
      }
    },
    use: () => useSyncExternalStore(subscribe, now),
  };
}

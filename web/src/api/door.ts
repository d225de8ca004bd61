import { useSyncExternalStore } from "react";

/** Whether the last answer was that this device is not let in. */
let shut = false;
const listeners = new Set<() => void>();

export function shutOut(now: boolean): void {
  if (now !== shut) {
    shut = now;
    listeners.forEach((listener) => listener());
  }
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** Whether this device has to be let in before it can go on. */
export const useShutOut = () => useSyncExternalStore(subscribe, () => shut);

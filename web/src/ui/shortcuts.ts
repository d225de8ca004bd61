import { useEffect, useEffectEvent, useId, useSyncExternalStore } from "react";
import { useHotkeys } from "react-hotkeys-hook";

/** Shortcuts that work on the page as it is now; the list on "?" shows them. */
interface Shortcut {
  keys: string;
  what: string;
}

let listed: Readonly<Record<string, Shortcut>> = {};
const listeners = new Set<() => void>();

function list(id: string, shortcut: Shortcut | undefined): void {
  const others = Object.entries(listed).filter(([one]) => one !== id);
  listed = Object.fromEntries(shortcut === undefined ? others : [...others, [id, shortcut]]);
  listeners.forEach((listener) => listener());
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** All that work now, each once. */
export function useShortcutList(): Shortcut[] {
  const now = useSyncExternalStore(subscribe, () => listed);
  const byKeys = new Map(Object.values(now).map((one) => [one.keys, one]));
  return [...byKeys.values()];
}

/** Presses that wait for a save to end; the step they belong to may come up anew meanwhile. */
const waiting = new Map<string, number[]>();
const LONGEST_MS = 5000;

const wait = (keys: string) => waiting.set(keys, [...(waiting.get(keys) ?? []), Date.now()]);

/** Takes one press that has waited, if it is not too long ago to be meant. */
function waited(keys: string): boolean {
  const fresh = (waiting.get(keys) ?? []).filter((at) => Date.now() - at < LONGEST_MS);
  waiting.set(keys, fresh.slice(1));
  return fresh.length > 0;
}

interface Wish {
  /** As the keyboard library writes them: `mod+z`. */
  on: string;
  /** As the pilot reads them. */
  keys: string;
  what: string;
  /** While something is being saved a press waits, and is carried out afterwards. */
  busy?: boolean;
}

/** A key that does something while this part of the page is there; never while a field is typed in. */
export function useShortcut({ on, keys, what, busy = false }: Wish, act: () => void): void {
  const id = useId();
  const now = useEffectEvent(act);
  useEffect(() => {
    list(id, { keys, what });
    return () => list(id, undefined);
  }, [id, keys, what]);
  useHotkeys(
    on,
    () => {
      if (busy) {
        wait(keys);
      } else {
        act();
      }
    },
    { preventDefault: true, useKey: true, ignoreEventWhen: (event) => event.defaultPrevented },
    [busy, act],
  );
  useEffect(() => {
    if (!busy && waited(keys)) {
      now();
    }
  }, [busy, keys]);
}

/** A key the page explains although something else listens to it: the sticks, a surface. */
export function useListedKey(keys: string, what: string): void {
  const id = useId();
  useEffect(() => {
    list(id, { keys, what });
    return () => list(id, undefined);
  }, [id, keys, what]);
}

interface Steps {
  busy: boolean;
  next: () => void;
  back: () => void;
}

/** The two keys of everything that goes step by step. */
export function useStepKeys({ busy, next, back }: Steps): void {
  useShortcut({ on: "n,ArrowRight", keys: "N or →", what: "Next step", busy }, next);
  useShortcut({ on: "b,ArrowLeft", keys: "B or ←", what: "One step back", busy }, back);
}

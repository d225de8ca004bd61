import { useEffect, useEffectEvent } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { say } from "@/words/generated/ui";

interface Shortcut {
  /** As the keyboard library writes them; none where the part that has the focus listens itself. */
  on: string;
  /** As the pilot reads them. */
  keys: string;
  what: string;
}

/** Every key the page knows; the list on "?" is made from this. */
export const SHORTCUTS = {
  help: { on: "?", keys: "?", what: say("shortcuts.thisList") },
  stick: {
    on: "",
    keys: say("shortcuts.arrowKeys"),
    what: say("shortcuts.moveStick"),
  },
  surface: {
    on: "",
    keys: say("shortcuts.enterOrSpace"),
    what: say("shortcuts.selectSurface"),
  },
  undo: { on: "mod+z", keys: say("shortcuts.ctrlZ"), what: say("shortcuts.undo") },
  redo: {
    on: "mod+shift+z",
    keys: say("shortcuts.ctrlShiftZ"),
    what: say("shortcuts.redo"),
  },
  next: {
    on: "n,ArrowRight",
    keys: say("shortcuts.nextKeys"),
    what: say("shortcuts.nextStep"),
  },
  back: { on: "b,ArrowLeft", keys: say("shortcuts.backKeys"), what: say("shortcuts.stepBack") },
} satisfies Record<string, Shortcut>;

type Name = keyof typeof SHORTCUTS;

/** Presses that wait for a save to end; the step they belong to may come up anew meanwhile. */
const waiting = new Map<Name, number[]>();
const LONGEST_MS = 5000;

const wait = (name: Name) => waiting.set(name, [...(waiting.get(name) ?? []), Date.now()]);

/** Takes one press that has waited, if it is not too long ago to be meant. */
function waited(name: Name): boolean {
  const fresh = (waiting.get(name) ?? []).filter((at) => Date.now() - at < LONGEST_MS);
  waiting.set(name, fresh.slice(1));
  return fresh.length > 0;
}

/**
 * A key that does something while this part of the page is there; never while a field is typed in.
 *
 * @param busy while something is being saved a press waits, and is carried out afterwards
 */
export function useShortcut(name: Name, act: () => void, busy = false): void {
  const now = useEffectEvent(act);
  useHotkeys(
    SHORTCUTS[name].on,
    () => {
      if (busy) {
        wait(name);
      } else {
        act();
      }
    },
    {
      preventDefault: true,
      useKey: true,
      // What takes a key for itself says so; a point of a curve or a radio button does not type.
      enableOnFormTags: ["slider", "radio", "spinbutton"],
      ignoreEventWhen: (event) => event.defaultPrevented,
    },
    [busy, act],
  );
  useEffect(() => {
    if (!busy && waited(name)) {
      now();
    }
  }, [busy, name]);
}

interface Steps {
  busy: boolean;
  next: () => void;
  back: () => void;
}

/** The two keys of everything that goes step by step. */
export function useStepKeys({ busy, next, back }: Steps): void {
  useShortcut("next", next, busy);
  useShortcut("back", back, busy);
}

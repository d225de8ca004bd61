import { useEffect, useRef, type RefObject } from "react";

/** The part of the page that changes with its address. */
export const MAIN = "main";

/** Puts the focus at the beginning of the page, from where everything else follows. */
export function focusMain(): void {
  document.getElementById(MAIN)?.focus({ preventScroll: true });
}

/** Whether what had the focus has gone from the page. */
const isLost = () => document.activeElement === document.body;

/**
 * Puts the focus on an element whenever a value has changed, but not at first; `ifLost` leaves it
 * to whoever has gone on to another field meanwhile.
 */
export function useFocusOn<E extends HTMLElement>(value: unknown, ifLost = false) {
  const element = useRef<E>(null);
  const before = useRef(value);
  useEffect(() => {
    if (before.current !== value) {
      before.current = value;
      if (!ifLost || isLost()) {
        element.current?.focus({ preventScroll: true });
      }
    }
  }, [value, ifLost]);
  return element;
}

/** Puts the focus on an element that came up in place of what had it: a start, a dialog. */
export function useFocusIfLost(element: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    if (isLost()) {
      element.current?.focus({ preventScroll: true });
    }
  }, [element]);
}

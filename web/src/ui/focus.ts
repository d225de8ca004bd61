import { useEffect, useRef } from "react";

/** The part of the page that changes with its address. */
export const MAIN = "main";

/** Puts the focus at the beginning of the page, from where everything else follows. */
export function focusMain(): void {
  document.getElementById(MAIN)?.focus({ preventScroll: true });
}

/** Puts the focus on an element whenever a value has changed, but not at first. */
export function useFocusOn<E extends HTMLElement>(value: unknown) {
  const element = useRef<E>(null);
  const before = useRef(value);
  useEffect(() => {
    if (before.current !== value) {
      before.current = value;
      element.current?.focus({ preventScroll: true });
    }
  }, [value]);
  return element;
}

import { useEffect, useRef, useState } from "react";

/** Where nothing is laid out yet. */
const WIDTH = 430;
const NARROWEST = 280;

/** How wide an element is, in pixels: drawings are drawn so that a letter is as large as said. */
export function useWidth() {
  const element = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(WIDTH);
  useEffect(() => {
    const box = element.current;
    if (box === null || typeof ResizeObserver === "undefined") {
      return;
    }
    const observer = new ResizeObserver(([entry]) => {
      const now = Math.round(entry?.contentRect.width ?? 0);
      if (now > 0) {
        setWidth(Math.max(NARROWEST, now));
      }
    });
    observer.observe(box);
    return () => observer.disconnect();
  }, []);
  return [element, width] as const;
}

/** Words and figures the way the whole page writes them; no number's meaning hangs on a bare sign. */

export type Control = "ROLL" | "PITCH" | "YAW";

export type ControlKey = "roll" | "pitch" | "yaw";
export const keyOf = (control: Control) => control.toLowerCase() as ControlKey;
export const CONTROL_KEYS: readonly ControlKey[] = ["roll", "pitch", "yaw"];

export const controlName = (key: ControlKey) => key.charAt(0).toUpperCase() + key.slice(1);

/** Below this a travel reads as none; half of what is printed. */
const NOTHING_MM = 0.05;

export const directionWord = (sideways: boolean, value: number) =>
  sideways ? (value > 0 ? "right" : "left") : value > 0 ? "up" : "down";

const arrow = (sideways: boolean, value: number) =>
  sideways ? (value > 0 ? "▶" : "◀") : value > 0 ? "▲" : "▼";

/** `▲ 12.4 mm`, or `0.0 mm` where nothing shows. */
export function travel(mm: number, sideways: boolean): string {
  const size = `${Math.abs(mm).toFixed(1)} mm`;
  return Math.abs(mm) < NOTHING_MM ? size : `${arrow(sideways, mm)} ${size}`;
}

/** `12.4 mm up`, for screen readers and sentences. */
export function travelWords(mm: number, sideways: boolean): string {
  const size = `${Math.abs(mm).toFixed(1)} mm`;
  return Math.abs(mm) < NOTHING_MM ? "neutral" : `${size} ${directionWord(sideways, mm)}`;
}

/** A signed figure with a true minus and a fixed number of places: `+3.2`, `−0.4`, `0.0`. */
export function signed(value: number, places: number): string {
  const text = Math.abs(value).toFixed(places);
  if (Number(text) === 0) {
    return text;
  }
  return `${value > 0 ? "+" : "−"}${text}`;
}

/** Which way a control's clicks point. */
export function clickWords(key: ControlKey, clicks: number): string {
  if (clicks === 0) {
    return "at zero";
  }
  const way =
    key === "pitch" ? (clicks > 0 ? "nose up" : "nose down") : clicks > 0 ? "right" : "left";
  return `${Math.abs(clicks)} ${Math.abs(clicks) === 1 ? "click" : "clicks"} ${way}`;
}

/** `5 September 2026`, whatever the browser's own language. */
export const day = (iso: string) =>
  new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "long", year: "numeric" }).format(
    new Date(iso),
  );

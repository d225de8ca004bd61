import { day, figure, length, lengthFigure } from "./reader";
import { say as clicksSaid } from "@/words/generated/clicks";
import { say } from "@/words/generated/domain";
import ways from "./ways.json";
import { told } from "@/words/generated/enums";

/** Words and figures the way the whole page writes them; no number's meaning hangs on a bare sign. */

export type Control = "ROLL" | "PITCH" | "YAW";

export type ControlKey = "roll" | "pitch" | "yaw";
export const keyOf = (control: Control) => control.toLowerCase() as ControlKey;
export const CONTROL_KEYS: readonly ControlKey[] = ["roll", "pitch", "yaw"];

/** What each control is called within a sentence. */
export const CONTROL_WORDS: Record<ControlKey, string> = {
  roll: told("Control", "ROLL"),
  pitch: told("Control", "PITCH"),
  yaw: told("Control", "YAW"),
};

export const controlName = (key: ControlKey) => capital(CONTROL_WORDS[key]);

/** Words at the beginning of a line or a heading. */
export const capital = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;

/** A name within a sentence: small where it begins large, as it is where its second letter is large too. */
export const within = (name: string) =>
  /^.[A-Z-]/.test(name) ? name : `${name.charAt(0).toLowerCase()}${name.slice(1)}`;

/** A figure without its sign, which words beside it carry, with a fixed number of places. */
export const size = (value: number, places: number) => figure(Math.abs(value), places);

/** Whether a figure reads as none with so many places. */
export const isNothing = (value: number, places: number) => Number(value.toFixed(places)) === 0;

/** A part of a whole, 0 to 1, as whole percent. */
export const percent = (part: number) => Math.round(100 * part);

/** Seconds as minutes and seconds: `4:05`. */
export const clock = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, "0")}`;

/** Which way plus points: sideways or not, or the surface that knows it. */
export type Way = boolean | { sideways: boolean; role: string };

type Direction = "UP" | "DOWN" | "RIGHT" | "LEFT" | "AFT" | "FORWARD";

/** Of every role, sideways or not: where plus and minus go, as the core has it. */
const WAYS: { role: string; sideways: boolean; plus: string; minus: string }[] = ways;

/** Each direction's arrow. */
const ARROWS: Record<Direction, string> = {
  UP: "▲",
  DOWN: "▼",
  RIGHT: "▶",
  LEFT: "◀",
  AFT: "▼",
  FORWARD: "▲",
};

/** Where plus and minus of a surface go, as the core has it. */
export function waysOf(way: Way): readonly [plus: Direction, minus: Direction] {
  const [role, sideways] =
    typeof way === "boolean" ? (["OTHER", way] as const) : ([way.role, way.sideways] as const);
  const found = WAYS.find((one) => one.role === role && one.sideways === sideways);
  return [found?.plus, found?.minus] as [Direction, Direction];
}

/** The words for plus and minus: up and down, right and left, or aft and forward. */
export function wayWords(way: Way): readonly [plus: string, minus: string] {
  const [plus, minus] = waysOf(way);
  return [told("Way", plus), told("Way", minus)];
}

const directionOf = (way: Way, value: number) => waysOf(way)[value > 0 ? 0 : 1];

export const directionWord = (way: Way, value: number) => told("Way", directionOf(way, value));

const arrow = (way: Way, value: number) => ARROWS[directionOf(way, value)];

/** `▲ 12.4 mm`, or `0.0 mm` where nothing shows. */
export function travel(mm: number, way: Way): string {
  const far = length(Math.abs(mm), 1);
  return isNothing(mm, 1) ? far : `${arrow(way, mm)} ${far}`;
}

/** `12.4 mm up`, for screen readers and sentences. */
export function travelWords(mm: number, way: Way): string {
  return isNothing(mm, 1)
    ? say("words.neutral")
    : `${length(Math.abs(mm), 1)} ${directionWord(way, mm)}`;
}

/** A signed figure with a true minus and a fixed number of places: `+3.2`, `−0.4`, `0.0`. */
export function signed(value: number, places: number): string {
  const text = size(value, places);
  return isNothing(value, places) ? text : `${sign(value)}${text}`;
}

const sign = (value: number) => (value > 0 ? "+" : "−");

/** How long something is without its sign, which words beside it carry. */
export const sizeOf = (mm: number, places: number) => length(Math.abs(mm), places);

/** The same without its unit. */
export const sizeFigure = (mm: number, places: number) => lengthFigure(Math.abs(mm), places);

/** A signed length without its unit, as fine as so many places of a millimetre. */
export function signedLength(mm: number, places: number): string {
  const text = lengthFigure(Math.abs(mm), places);
  return isNothing(mm, places) ? text : `${sign(mm)}${text}`;
}

/** How many clicks and which way, in the words of the core. */
export function clickWords(key: ControlKey, clicks: number): string {
  if (clicks === 0) {
    return clicksSaid("none");
  }
  const control = key.toUpperCase() as Control;
  return clicksSaid(`${control}.${clicks > 0 ? "plus" : "minus"}`, {
    count: Math.abs(Math.round(clicks)),
  });
}

/** The axis of a stick, from its minus end to its plus end. */
export const STICK_ENDS: Record<Control, string> = {
  ROLL: say("words.rollStick"),
  PITCH: say("words.pitchStick"),
  YAW: say("words.yawStick"),
};

export { day, timeOfDay } from "./reader";

const SECOND_MS = 1_000;

/** How long ago something was, in whole seconds; none for what is yet to come. */
export const secondsSince = (at: string) =>
  Math.max(0, Math.round((Date.now() - Date.parse(at)) / SECOND_MS));

/** The date of a moment where the reader is, as `2026-09-05`. */
export const dateOf = (at: Date) =>
  [at.getFullYear(), at.getMonth() + 1, at.getDate()]
    .map((one) => String(one).padStart(2, "0"))
    .join("-");

export const today = () => dateOf(new Date());

/** The day of a flight; which of them where there were several. */
export const dayAndFlight = (iso: string, ofDay: number) =>
  ofDay === 0 ? day(iso) : say("words.flight", { day: day(iso), ofDay });

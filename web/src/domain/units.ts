import type { Schemas } from "./contract";
import { figure, length, lengthSign, lengthWritten, typed, typedLength, written } from "./reader";
import { say } from "@/words/generated/domain";

export type Unit = Schemas["Field"]["unit"];

/** The signs of the units the core computes in. */
const SIGNS: Record<Unit, string> = {
  NONE: "",
  MILLIMETRES: "mm",
  DEGREES: "°",
  PERCENT: "%",
  MICROSECONDS: "µs",
  SECONDS: "s",
  GRAMS: "g",
  VOLTS: "V",
  NEWTON_CENTIMETRES: "N·cm",
  CLICKS: say("units.clicks"),
  MILLIMETRES_PER_MILLIMETRE: "mm/mm",
  DEGREES_PER_MICROSECOND: "°/µs",
};

export const unitSign = (unit: Unit) => (unit === "MILLIMETRES" ? lengthSign() : SIGNS[unit]);

/** A value with its unit, as fine as so many places. */
export const valueIn = (unit: Unit, value: number, places: number) =>
  unit === "MILLIMETRES" ? length(value, places) : `${figure(value, places)} ${SIGNS[unit]}`;

/** A value of a field as it is shown and typed. */
export const shownIn = (unit: Unit, value: number) =>
  unit === "MILLIMETRES" ? lengthWritten(value) : written(value);

/** The value that was typed into a field; not a number where it is none. */
export const typedIn = (unit: Unit, text: string) =>
  unit === "MILLIMETRES" ? typedLength(text) : typed(text);

import type { Schemas } from "@/api/client";

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
  CLICKS: "clicks",
  MILLIMETRES_PER_MILLIMETRE: "mm/mm",
  DEGREES_PER_MICROSECOND: "°/µs",
};

export const unitSign = (unit: Unit) => SIGNS[unit];

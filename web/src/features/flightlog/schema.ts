import { z } from "zod";

// The page may not make code out of text; without this the library tries whether it may.
z.config({ jitless: true });
import type { Field } from "@/api/queries";
import { numberIn, textIn } from "@/ui/range";
import { say } from "@/words/generated/flightlog";

export const WINDS = ["CALM", "LIGHT", "FRESH", "STRONG"] as const;

export const WIND_WORDS: Record<(typeof WINDS)[number], string> = {
  CALM: say("schema.calm"),
  LIGHT: say("schema.light"),
  FRESH: say("schema.fresh"),
  STRONG: say("schema.strong"),
};
export const SURES = ["SURE", "FAIRLY", "NOT"] as const;
export const AIRS = ["SMOOTH", "BUMPY", "ROUGH"] as const;

export const AIR_WORDS: Record<(typeof AIRS)[number], string> = {
  SMOOTH: say("schema.smooth"),
  BUMPY: say("schema.bumpy"),
  ROUGH: say("schema.rough"),
};

/** The form's rules, from the core's own ranges. */
export function flightSchema(fields: Field[], trimRange: number) {
  const field = (name: string) => {
    const found = fields.find((one) => one.path === `flight.${name}`);
    if (found === undefined) {
      throw new Error(`The field catalogue lacks flight.${name}`);
    }
    return found;
  };
  const clicks = (name: string) =>
    numberIn({ ...field(`trims.${name}`), min: -trimRange, max: trimRange });
  return z.object({
    flownOn: z.iso.date(say("schema.flownOnADate")),
    wind: z.enum(WINDS),
    air: z.enum(AIRS),
    field: textIn(field("field")),
    battery: textIn(field("battery")),
    cgMm: numberIn(field("cgMm")).nullable(),
    remarks: textIn(field("remarks")),
    goal: textIn(field("goal")),
    throttlePercent: numberIn(field("throttlePercent")),
    sure: z.enum(SURES),
    turnsDiffer: z.boolean(),
    phases: z.array(z.any()),
    trims: z.object({ roll: clicks("roll"), pitch: clicks("pitch"), yaw: clicks("yaw") }),
  });
}

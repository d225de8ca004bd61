import { z } from "zod";

// The page may not make code out of text; without this the library tries whether it may.
z.config({ jitless: true });
import type { Field } from "@/api/queries";
import { numberIn, textIn } from "@/ui/range";
import { dayFields, type DayField } from "./day-fields";
import { say } from "@/words/generated/flightlog";

export const SURES = ["SURE", "FAIRLY", "NOT"] as const;
/** What a field of the day takes, by its kind. */
function ruleOf(field: DayField) {
  switch (field.kind) {
    case "DATE":
      return z.iso.date(say("schema.aDate", { label: field.label }));
    case "CHOICE":
      return z.enum(field.options.map((one) => one.value));
    case "TEXT":
      return textIn(field);
    default:
      return numberIn(field).nullable();
  }
}

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
    ...Object.fromEntries(dayFields(fields).map((one) => [one.name, ruleOf(one)])),
    throttlePercent: numberIn(field("throttlePercent")),
    sure: z.enum(SURES),
    turnsDiffer: z.boolean(),
    phases: z.array(z.any()),
    trims: z.object({ roll: clicks("roll"), pitch: clicks("pitch"), yaw: clicks("yaw") }),
  });
}

import { shownIn, typedIn, unitSign } from "@/domain/units";
import { z } from "zod";
import type { Field } from "@/api/queries";

/** The range in words: `1 to 150 mm`. */
export const rangeWords = (field: Field) =>
  `${shownIn(field.unit, field.min)} to ${shownIn(field.unit, field.max)}${field.unit === "NONE" ? "" : ` ${unitSign(field.unit)}`}`;

/** The core's own range as a schema for forms. */
export function numberIn(field: Field) {
  const message = `${field.label}: ${rangeWords(field)}`;
  const number = z.number({ error: message }).min(field.min, message).max(field.max, message);
  return field.kind === "WHOLE_NUMBER" ? number.int(`${field.label}: a whole number`) : number;
}

/** The core's own length as a schema for forms. */
export const textIn = (field: Field) =>
  z
    .string()
    .min(field.min, `${field.label}: at least ${field.min} characters`)
    .max(field.max, `${field.label}: at most ${field.max} characters`);

/** What is wrong with a typed number, or nothing; it may have a point or a comma. */
export function problemOf(field: Field, text: string): string | undefined {
  const typed = text.trim();
  if (typed === "") {
    return `${field.label} is missing: ${rangeWords(field)}`;
  }
  const found = numberIn(field).safeParse(typedIn(field.unit, typed));
  return found.success ? undefined : `${typed} is refused. ${found.error.issues[0]?.message ?? ""}`;
}

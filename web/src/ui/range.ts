import { shownIn, typedIn, unitSign } from "@/domain/units";
import { z } from "zod";
import type { Field } from "@/api/queries";
import { say } from "@/words/generated/ui";

/** The range in words: `1 to 150 mm`. */
export const rangeWords = (field: Field) =>
  say("range.to", {
    shownIn: shownIn(field.unit, field.min),
    shownInOther: shownIn(field.unit, field.max),
    unit: field.unit === "NONE" ? "" : ` ${unitSign(field.unit)}`,
  });

/** The core's own range as a schema for forms. */
export function numberIn(field: Field) {
  const message = say("range.within", { label: field.label, range: rangeWords(field) });
  const number = z.number({ error: message }).min(field.min, message).max(field.max, message);
  return field.kind === "WHOLE_NUMBER"
    ? number.int(say("range.wholeNumber", { label: field.label }))
    : number;
}

/** The core's own length as a schema for forms. */
export const textIn = (field: Field) =>
  z
    .string()
    .min(field.min, say("range.tooShort", { label: field.label, min: field.min }))
    .max(field.max, say("range.tooLong", { label: field.label, max: field.max }));

/** What is wrong with a typed number, or nothing; it may have a point or a comma. */
export function problemOf(field: Field, text: string): string | undefined {
  const typed = text.trim();
  if (typed === "") {
    return say("range.isMissing", { label: field.label, range: rangeWords(field) });
  }
  const found = numberIn(field).safeParse(typedIn(field.unit, typed));
  return found.success
    ? undefined
    : say("range.isRefused", { typed, message: found.error.issues[0]?.message ?? "" });
}

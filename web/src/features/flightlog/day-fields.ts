import type { Field, FlightReport } from "@/api/queries";
import { unitSign, valueIn } from "@/domain/units";

export type DayName = Exclude<keyof FlightReport, keyof FlightReport["phases"][number] | "phases">;

/** A field of a flight as a whole, by its name in the report. */
export interface DayField extends Field {
  name: DayName;
}

/** What is noted of a flight as a whole: what the catalogue has of it and not of a phase. */
export const dayFields = (fields: Field[]): DayField[] =>
  fields
    .filter(({ path }) => /^flight\.\w+$/.test(path))
    .filter(({ path }) => !fields.some((one) => one.path === path.replace(".", ".phases[].")))
    .map((one) => ({ ...one, name: one.path.slice("flight.".length) as DayName }));

/** Its name with what it counts and from where. */
export const dayLabel = ({ label, unit, hint }: DayField) =>
  [unitSign(unit) === "" ? label : `${label}, ${unitSign(unit)}`, hint]
    .filter((part) => part !== "")
    .join(" ");

/** What was noted there, in words. */
export const dayValue = ({ unit, options }: DayField, value: unknown) =>
  typeof value === "number"
    ? valueIn(unit, value, 1)
    : (options.find((one) => one.value === value)?.words ?? String(value ?? ""));

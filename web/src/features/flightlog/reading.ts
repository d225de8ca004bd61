import type { Schemas } from "@/api/client";
import type { CoachSheet } from "@/api/fly";
import type { Field, FlightReport } from "@/api/queries";
import { dayFields, type DayField, type DayName } from "./day-fields";

export type Reading = FlightReport["phases"][number];

/** Not chosen yet: the server knows no such word, and the form asks for one before it sends. */
export const NOT_CHOSEN = "" as never;

/** A phase as it is reckoned with before anything is entered for it. */
export const blankReading = (
  phase: string,
  trims: Reading["trims"],
  ask: Schemas["FlightForm"] | undefined,
  sure: Reading["sure"],
): Reading => ({
  phase,
  trims,
  throttlePercent: ask?.throttleAsked === false ? ask.throttlePercent : 50,
  sure,
  turnsDiffer: false,
});

/**
 * The report as it is sent: how sure goes for every phase where nothing else was said, and a common
 * trim is the one of the phase it was asked in.
 */
export const whole = (report: FlightReport, asks: Schemas["FlightForm"][]): FlightReport => ({
  ...report,
  phases: report.phases.map((one) => {
    const ask = asks.find((each) => each.phase === one.phase);
    const common = Object.fromEntries(
      (ask?.common ?? []).map((control) => {
        const key = control.toLowerCase() as keyof Reading["trims"];
        return [key, report.trims[key]];
      }),
    );
    return {
      ...one,
      sure: (one.sure as string) === "" ? report.sure : one.sure,
      trims: { ...one.trims, ...common },
    };
  }),
});

/** What a new entry begins with. */
export interface Begun {
  fields: Field[];
  last: FlightReport | undefined;
  stands: Schemas["StandingTrims"];
  coach: CoachSheet;
  asks: Schemas["FlightForm"][];
}

export const NONE = { roll: 0, pitch: 0, yaw: 0 };

const nothing = ({ kind }: DayField) =>
  kind === "NUMBER" ? null : kind === "TEXT" ? "" : NOT_CHOSEN;

/**
 * A new entry starts from the last flight's place, pack and phases, from the trims that stand and from
 * what the flight was for. Wind, air and how sure are chosen, never preset.
 */
export function fresh(
  { fields, last, stands, coach, asks }: Begun,
  packs: Schemas["Pack"][],
  day: string,
): FlightReport {
  const battery = last?.battery ?? packs[0]?.name ?? "";
  const pack = packs.find((one) => one.name === battery);
  const trims = (phase: string) => stands.phases.find((one) => one.phase === phase)?.trims ?? NONE;
  const known = asks.map((one) => one.phase);
  const base = asks.at(-1);
  return {
    ...(Object.fromEntries(
      dayFields(fields).map((one) => [
        one.name,
        one.carried && last !== undefined ? last[one.name] : nothing(one),
      ]),
    ) as Pick<FlightReport, DayName>),
    flownOn: day,
    battery,
    cgMm: pack?.cgMm ?? last?.cgMm ?? null,
    goal: coach.goal.slice(0, 300),
    trims: stands.phases.at(-1)?.trims ?? NONE,
    throttlePercent: blankReading("", NONE, base, NOT_CHOSEN).throttlePercent,
    sure: NOT_CHOSEN,
    turnsDiffer: false,
    phases: (last?.phases ?? [])
      .filter((one) => known.includes(one.phase) && one.phase !== base?.phase)
      .map((one) =>
        blankReading(
          one.phase,
          trims(one.phase),
          asks.find((each) => each.phase === one.phase),
          NOT_CHOSEN,
        ),
      ),
  };
}

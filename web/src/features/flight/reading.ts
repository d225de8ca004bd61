import type { Schemas } from "@/api/client";
import type { FlightReport } from "@/api/queries";

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

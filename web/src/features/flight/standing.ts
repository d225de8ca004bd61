import type { Flight, FlightReport, Setup } from "@/api/queries";

type Trims = FlightReport["trims"];

/** The clicks that stand in the transmitter in a phase: of the last flight whose trims still hold, else the setup's. */
export function standingTrims(setup: Setup, since: number, flights: Flight[], id: string): Trims {
  const base = setup.phases.at(-1)?.id;
  for (const flight of flights.filter((one) => one.revisionNumber >= since)) {
    const reading =
      id === base ? flight.report : flight.report.phases.find((one) => one.phase === id);
    if (reading !== undefined) {
      return reading.trims;
    }
  }
  const phase = setup.phases.find((one) => one.id === id);
  return {
    roll: phase?.ownRoll === true ? phase.trims.roll : setup.trims.roll,
    pitch: phase?.ownPitch === true ? phase.trims.pitch : setup.trims.pitch,
    yaw: phase?.ownYaw === true ? phase.trims.yaw : setup.trims.yaw,
  };
}

import { expect, test } from "vitest";
import type { Flight, Setup } from "@/api/queries";
import { standingTrims } from "./standing";

const trims = (pitch: number) => ({ roll: 0, pitch, yaw: 0 });
const phase = (id: string, ownPitch: boolean, pitch: number) => ({
  id,
  ownRoll: false,
  ownPitch,
  ownYaw: false,
  trims: trims(pitch),
});
const setup = {
  trims: trims(3),
  phases: [phase("speed", true, -5), phase("landing", false, 9), phase("cruise", false, 0)],
} as unknown as Setup;
const flight = (revisionNumber: number, pitch: number, speed?: number) =>
  ({
    revisionNumber,
    report: {
      trims: trims(pitch),
      phases: speed === undefined ? [] : [{ phase: "speed", trims: trims(speed) }],
    },
  }) as unknown as Flight;
const pitch = (flights: Flight[], id: string) => standingTrims(setup, 2, flights, id).pitch;

test("without a flight the setup's trims stand, common or the phase's own", () => {
  expect(pitch([], "cruise")).toBe(3);
  expect(pitch([], "landing")).toBe(3);
  expect(pitch([], "speed")).toBe(-5);
});

test("the newest flight in a phase whose trims still hold decides", () => {
  const flights = [flight(3, 7), flight(2, 6, -8), flight(1, 20, 20)];
  expect(pitch(flights, "cruise")).toBe(7);
  expect(pitch(flights, "speed")).toBe(-8);
  expect(pitch([flight(1, 20, 20)], "speed")).toBe(-5);
});

import { expect, it } from "vitest";
import { blankReading, whole } from "./reading";
import type { FlightReport } from "@/api/queries";
import type { Schemas } from "@/api/client";

const ask = (phase: string, common: ("ROLL" | "PITCH" | "YAW")[]) =>
  ({ phase, common, throttleAsked: false, throttlePercent: 30 }) as Schemas["FlightForm"];

it("takes a common trim from where it was asked, phase by phase, and how sure from the whole", () => {
  const first = blankReading("first", { roll: 1, pitch: 2, yaw: 3 }, undefined, "" as never);
  const second = blankReading("second", { roll: 4, pitch: 5, yaw: 6 }, undefined, "FAIRLY");
  const report = {
    trims: { roll: 7, pitch: 8, yaw: 9 },
    sure: "SURE",
    phases: [first, second],
  } as FlightReport;
  const sent = whole(report, [ask("first", ["ROLL"]), ask("second", ["PITCH", "YAW"])]);
  expect(sent.phases[0]).toEqual({ ...first, sure: "SURE", trims: { roll: 7, pitch: 2, yaw: 3 } });
  expect(sent.phases[1]).toEqual({
    ...second,
    sure: "FAIRLY",
    trims: { roll: 4, pitch: 8, yaw: 9 },
  });
});

it("begins with the throttle that is known where it is not asked, and half where it is", () => {
  const trims = { roll: 0, pitch: 0, yaw: 0 };
  expect(blankReading("a", trims, ask("a", []), "SURE").throttlePercent).toBe(30);
  const asked = { ...ask("a", []), throttleAsked: true };
  expect(blankReading("a", trims, asked, "SURE").throttlePercent).toBe(50);
  expect(blankReading("a", trims, undefined, "SURE").throttlePercent).toBe(50);
});

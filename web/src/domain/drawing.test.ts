import { describe, expect, it } from "vitest";
import type { Setup } from "./contract";
import { corners, extent, surfaceShapes } from "./drawing";

const station = (aftMm: number, rightMm: number, upMm: number, chordMm: number) => ({
  aftMm,
  rightMm,
  upMm,
  chordMm,
});
const wing = {
  id: "wing",
  name: "Wing",
  root: station(100, 0, 0, 200),
  tip: station(150, 500, 50, 100),
  role: "WING" as const,
  pair: "",
};
const fin = {
  id: "fin",
  name: "Fin",
  root: station(800, 0, 0, 150),
  tip: station(850, 0, 200, 100),
  role: "FIN" as const,
  pair: "",
};
const surface = (id: string, panel: string, sideways: boolean) => ({
  id,
  sideways,
  chordMm: 40,
  place: { panel, from: 0.5, to: 1 },
});
const setup = {
  airframe: { panels: [wing, fin], fuselage: [] },
  surfaces: [surface("aileron", "wing", false), surface("rudder", "fin", true)],
} as unknown as Setup;

describe("a drawing", () => {
  it("has a panel's corners at its stations", () => {
    expect(corners(wing).map((p) => [p.aft, p.right])).toEqual([
      [100, 0],
      [150, 500],
      [250, 500],
      [300, 0],
    ]);
  });

  it("puts a surface at the trailing edge, its hinge one chord ahead", () => {
    const [aileron] = surfaceShapes(setup);
    // Half way out: leading edge 125, chord 150, so the trailing edge is at 275.
    expect(aileron?.edge[0]).toEqual({ aft: 275, right: 250, up: 25 });
    expect(aileron?.hinge[0].aft).toBe(235);
    expect(aileron?.edge[1].aft).toBe(250);
  });

  it("moves plus up on a wing and right on a fin", () => {
    const [aileron, rudder] = surfaceShapes(setup);
    expect(aileron?.normal.up).toBeGreaterThan(0.99);
    expect(rudder?.normal.right).toBeCloseTo(1, 12);
    expect(rudder?.normal.up).toBeCloseTo(0, 12);
  });

  it("is as large as the model", () => {
    expect(extent(setup)).toEqual({ half: 500, length: 950, top: 200, bottom: -20 });
  });
});

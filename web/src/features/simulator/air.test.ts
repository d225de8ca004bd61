import { describe, expect, it } from "vitest";
import type { FlightSample } from "@/api/school";
import { mirrored, placed, shot, toWorld } from "./air";

const sample = (part: Partial<FlightSample>): FlightSample => ({
  seconds: 0,
  northM: 0,
  eastM: 0,
  upM: 150,
  w: 1,
  x: 0,
  y: 0,
  z: 0,
  speed: 15,
  roll: 0,
  pitch: 0,
  yaw: 0,
  throttle: 0,
  ...part,
});

/** What is there for sure in a test. */
const sure = <T>(one: T | undefined): T => {
  if (one === undefined) {
    throw new Error("Nothing there");
  }
  return one;
};

const HALF = Math.SQRT1_2;

describe("a simulated flight drawn", () => {
  it("turns the body into the world: nose ahead, right wing east, down below", () => {
    const level = sample({ northM: 10 });
    expect(toWorld(level, [1, 0, 0])).toEqual([11, 0, 150]);
    expect(toWorld(level, [0, 1, 0])).toEqual([10, 1, 150]);
    expect(toWorld(level, [0, 0, 1])).toEqual([10, 0, 149]);
    const up = toWorld(sample({ w: HALF, y: HALF }), [1, 0, 0]);
    expect(up[2]).toBeCloseTo(151);
    const banked = toWorld(sample({ w: HALF, x: HALF }), [0, 1, 0]);
    expect(banked[2]).toBeCloseTo(149);
  });

  it("mirrors a flight: the right wing of one is the left wing of the other", () => {
    const path = [sample({ eastM: 3, w: 0.9, x: 0.3, y: 0.2, z: -0.2, roll: 0.5, yaw: -1 })];
    const [other] = mirrored(path);
    const right = toWorld(sure(path[0]), [0.2, 1, 0.1]);
    const left = toWorld(sure(other), [0.2, -1, 0.1]);
    expect(left[0]).toBeCloseTo(right[0]);
    expect(left[1]).toBeCloseTo(-right[1]);
    expect(left[2]).toBeCloseTo(right[2]);
    expect([sure(other).roll, sure(other).yaw]).toEqual([-0.5, 1]);
  });

  it.each(["pilot", "side", "behind"] as const)("keeps the whole path in view: %s", (view) => {
    const path = Array.from({ length: 60 }, (_, i) =>
      sample({ northM: 2 * i, eastM: i / 4, upM: 150 + i / 2 }),
    );
    const { at, horizon } = shot(view, [path], 760, 400);
    for (const s of path) {
      const [x, y] = sure(at([s.northM, s.eastM, s.upM]));
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(760);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(400);
    }
    const [, low] = sure(at([0, 0, 150]));
    const [, high] = sure(at([0, 0, 160]));
    expect(high).toBeLessThan(low);
    expect(horizon).toBeDefined();
  });

  it("draws a model larger where it is asked to", () => {
    const frame = [{ part: "WING", corners: [{ x: 0, y: 1, z: 0 }] }];
    expect(placed(frame, sample({}), 3)[0]?.corners[0]).toEqual([0, 3, 150]);
  });
});

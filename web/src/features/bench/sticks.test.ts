import { describe, expect, it } from "vitest";
import { momentOf } from "./gamepad";
import { axesOf } from "./StickPads";

describe("stick modes", () => {
  it("put throttle under the left thumb in modes 2 and 4, pitch in 1 and 3", () => {
    expect([1, 2, 3, 4].map((mode) => axesOf(mode).left[1])).toEqual([
      "pitch",
      "throttle",
      "pitch",
      "throttle",
    ]);
    expect([1, 2, 3, 4].map((mode) => axesOf(mode).right[0])).toEqual([
      "roll",
      "roll",
      "yaw",
      "yaw",
    ]);
  });

  it("turn a game controller's axes into the pilot's controls", () => {
    // Mode 2: left stick fully forward is full throttle; right stick pulled back is nose up.
    expect(momentOf([0.5, -1, 0.01, 0.8], 2)).toEqual({
      yaw: 0.5,
      throttle: 1,
      roll: 0,
      pitch: 0.8,
    });
  });
});

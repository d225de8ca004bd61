import { describe, expect, it } from "vitest";
import { merged } from "./merge";

const FROM = {
  name: "One",
  trims: { roll: 0, pitch: 1 },
  phases: [
    { id: "a", fade: 1 },
    { id: "b", fade: 2 },
  ],
  points: [1, 2, 3],
};

describe("what was typed while something was worked out", () => {
  it("stays beside what was worked out", () => {
    const typed = { ...FROM, trims: { roll: 0, pitch: 5 } };
    const worked = { ...FROM, phases: [{ id: "a", fade: 3 }, FROM.phases[1]] };
    expect(merged(FROM, typed, worked)).toEqual({
      ...FROM,
      trims: { roll: 0, pitch: 5 },
      phases: [
        { id: "a", fade: 3 },
        { id: "b", fade: 2 },
      ],
    });
  });

  it("wins where both changed the same value", () => {
    const typed = { ...FROM, name: "Typed" };
    const worked = { ...FROM, name: "Worked" };
    expect(merged(FROM, typed, worked)).toMatchObject({ name: "Typed" });
  });

  it("follows entries of a list by their id, whatever was added or removed", () => {
    const typed = { ...FROM, phases: [FROM.phases[0], { id: "b", fade: 9 }, { id: "t", fade: 0 }] };
    const worked = { ...FROM, phases: [{ id: "w", fade: 4 }, FROM.phases[1]] };
    expect(merged(FROM, typed, worked)).toMatchObject({
      phases: [
        { id: "w", fade: 4 },
        { id: "b", fade: 9 },
        { id: "t", fade: 0 },
      ],
    });
  });

  it("is taken place by place in plain lists of one length, whole in others", () => {
    expect(merged([1, 2, 3], [1, 7, 3], [1, 2, 8])).toEqual([1, 7, 8]);
    expect(merged([1, 2, 3], [1, 7], [1, 2, 8])).toEqual([1, 7]);
  });

  it("leaves what nobody typed in as it was worked out", () => {
    const worked = { ...FROM, name: "Worked" };
    expect(merged(FROM, FROM, worked)).toBe(worked);
    expect(merged(FROM, structuredClone(FROM), worked)).toBe(worked);
    expect(merged(FROM, { ...FROM, name: "Typed" }, structuredClone(FROM))).toMatchObject({
      name: "Typed",
    });
  });
});

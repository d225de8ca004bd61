import { describe, expect, it } from "vitest";
import type { Field } from "@/api/queries";
import { problemOf } from "./range";
import { words } from "@/test/words";

const chord: Field = {
  path: "setup.surfaces[].chordMm",
  label: "Chord",
  unit: "MILLIMETRES",
  hint: "",
  min: 5,
  max: 600,
  kind: "NUMBER",
  options: [],
  carried: false,
};

describe("a typed number", () => {
  it("is taken inside its range, ends included", () => {
    expect(problemOf(chord, "5")).toBeUndefined();
    expect(problemOf(chord, " 600 ")).toBeUndefined();
  });

  it("is refused with its value and range", () => {
    expect(problemOf(chord, "601")).toBe(
      words("ui.range.isRefused", { typed: 601, message: "Chord: 5 to 600 mm" }),
    );
    expect(problemOf(chord, "wide")).toContain("wide is refused");
    expect(problemOf(chord, "")).toBe(
      words("ui.range.isMissing", { label: "Chord", range: "5 to 600 mm" }),
    );
  });

  it("may have a point or a comma", () => {
    expect(problemOf(chord, "52.5")).toBeUndefined();
    expect(problemOf(chord, "52.5")).toBeUndefined();
  });

  it("refuses half a click", () => {
    expect(problemOf({ ...chord, kind: "WHOLE_NUMBER" }, "7.5")).toContain("whole number");
  });
});

import { describe, expect, it } from "vitest";
import { meanwhile } from "./meanwhile";

describe("what stays in view while something is worked out", () => {
  const { placeholderData } = meanwhile({ control: "PITCH", surface: "" });

  it("is what was worked out before of the same thing", () => {
    const key = ["feel lines", { a: 1 }, { control: "PITCH", surface: "" }];
    expect(placeholderData("before", { queryKey: key })).toBe("before");
  });

  it("is nothing of another thing, nor where nothing came before", () => {
    const key = ["feel lines", { a: 1 }, { control: "ROLL", surface: "" }];
    expect(placeholderData("before", { queryKey: key })).toBeUndefined();
    expect(placeholderData(undefined)).toBeUndefined();
  });
});

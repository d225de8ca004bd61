import { describe, expect, it } from "vitest";
import { ApiError } from "./client";
import { whileAway } from "./recovery";

const query = (status: "error" | "success", error: Error | null) =>
  ({ state: { status, error } }) as Parameters<typeof whileAway>[0];

describe("a page without an answer", () => {
  it("asks again until there is one", () => {
    expect(whileAway(query("error", new ApiError(0, "no answer", [])))).toBeGreaterThan(0);
  });
  it("takes a refusal for an answer", () => {
    expect(whileAway(query("error", new ApiError(404, "no such model", [])))).toBe(false);
    expect(whileAway(query("error", new Error("a fault")))).toBe(false);
    expect(whileAway(query("success", null))).toBe(false);
  });
});

import { describe, expect, it } from "vitest";
import { clickWords, signed, travel, travelWords } from "./words";
import { words } from "@/test/words";

describe("figures", () => {
  it("carry an arrow and a word, never only a sign", () => {
    expect(travel(12.44, false)).toBe("▲ 12.4 mm");
    expect(travel(-12.44, false)).toBe("▼ 12.4 mm");
    expect(travel(3, true)).toBe("▶ 3.0 mm");
    expect(travelWords(-3, true)).toBe("3.0 mm left");
    expect(travelWords(9, { sideways: false, role: "SWINGING_WING" })).toBe("9.0 mm aft");
  });

  it("say nothing moves when nothing can be seen to", () => {
    expect(travel(-0.04, false)).toBe("0.0 mm");
    expect(travelWords(0.04, true)).toBe(words("domain.words.neutral"));
  });

  it("never print a minus before a zero", () => {
    expect(signed(-0.004, 2)).toBe("0.00");
    expect(signed(-0.006, 2)).toBe("−0.01");
    expect(signed(3.14159, 1)).toBe("+3.1");
  });

  it("count clicks in words", () => {
    expect(clickWords("pitch", 1)).toBe("1 click nose up");
    expect(clickWords("roll", -9)).toBe("9 clicks left");
    expect(clickWords("yaw", 0)).toBe("0 clicks");
  });
});

import { words } from "@/test/words";
import { afterEach, describe, expect, it } from "vitest";
import {
  decimalMark,
  figure,
  inLength,
  length,
  lengthEntered,
  lengthUnit,
  lengthWritten,
  readerHeaders,
  severalWords,
  typed,
  typedLength,
  written,
} from "./reader";

afterEach(() => {
  lengthUnit.choose("mm");
  decimalMark.choose("point");
});

describe("numbers as this reader writes them", () => {
  it("are millimetres with a point unless something else is chosen", () => {
    expect(length(12.34, 1)).toBe("12.3 mm");
    expect(lengthEntered(0.1 + 0.2)).toBe("0.3 mm");
    expect(readerHeaders()).toEqual({ "Length-Unit": "mm", "Decimal-Mark": "point" });
  });

  it("are inches as fine as the millimetres were", () => {
    lengthUnit.choose("in");
    expect(length(12.7, 1)).toBe("0.500 in");
    expect(inLength(25.4)).toBe(1);
    expect(lengthWritten(3.175)).toBe("0.125");
    expect(readerHeaders()["Length-Unit"]).toBe("in");
  });

  it("carry a comma where the reader writes one", () => {
    decimalMark.choose("comma");
    expect(figure(-1.25, 1)).toBe("−1,3");
    expect(written(-0.5)).toBe("−0,5");
    expect(written(2.5)).toBe("2,5");
    expect(length(3, 1)).toBe("3,0 mm");
  });
});

it("says by which mark several numbers are parted", () => {
  expect(severalWords()).toBe(words("domain.reader.commasBetween"));
  decimalMark.choose("comma");
  expect(severalWords()).toBe(words("domain.reader.semicolonsBetween"));
});

describe("numbers as they are typed", () => {
  it.each([
    ["1.5", 1.5],
    ["1,5", 1.5],
    [" −2,25 ", -2.25],
    ["-.5", -0.5],
    ["7.", 7],
    ["+3", 3],
  ])("%s is read with a point or a comma, whatever is chosen", (text, value) => {
    for (const mark of decimalMark.values) {
      decimalMark.choose(mark);
      expect(typed(text)).toBe(value);
    }
  });

  it.each(["", "1,5,2", "1.500,2", "two", "1e3", "Infinity", "0x10", "-"])(
    "%s is no number",
    (text) => {
      expect(typed(text)).toBeNaN();
      expect(typedLength(text)).toBeNaN();
    },
  );

  it("come back as they were typed, in either unit", () => {
    for (const unit of lengthUnit.values) {
      lengthUnit.choose(unit);
      for (let i = 0; i <= 400; i += 1) {
        const text = String(i / 64).slice(0, 6);
        expect(lengthWritten(typedLength(text))).toBe(written(Number(text)));
      }
    }
  });
});

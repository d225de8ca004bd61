import { expect, test } from "vitest";
import { exchanged } from "./lists";

test("an entry and the one after it change places, and nothing else", () => {
  expect(exchanged(["a", "b", "c"], 0)).toEqual(["b", "a", "c"]);
  expect(exchanged(["a", "b", "c"], 1)).toEqual(["a", "c", "b"]);
});

test("the last has none after it", () => {
  expect(exchanged(["a", "b"], 1)).toEqual(["a", "b"]);
});

import { Linter } from "eslint";
import { expect, test } from "vitest";
import { noArithmetic } from "./quantities.js";

const caught = (code) =>
  new Linter()
    .verify(code, {
      languageOptions: { parserOptions: { ecmaFeatures: { jsx: true } } },
      rules: { "no-restricted-syntax": noArithmetic },
    })
    .map((one) => one.message).length;

test.each([
  "travel * 2",
  "travel / turns",
  "(seconds % 60)",
  "after - before",
  "after + before",
  "total += one",
  "Math.round(clicks)",
  "let turned = -steps",
])("arithmetic on a quantity is caught: %s", (code) => {
  expect(caught(code)).toBe(1);
});

test.each([
  "list[place + 1]",
  "let last = list.length - 1",
  "visits += 1",
  "let words = 'about ' + name",
  "let words = `${name}` + sign",
  "<li key={one.surface + one.phase} />",
  "let x = -1",
  "let low = { min: -range, max: range }",
  "list.slice(-most)",
])("counting, joining and ranges are free: %s", (code) => {
  expect(caught(code)).toBe(0);
});

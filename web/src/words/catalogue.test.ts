import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";

const lines = readFileSync("../core/src/main/resources/hightally/words/page_en.properties", "utf8")
  .split("\n")
  .filter((line) => line.includes("=") && !line.startsWith("#"));

const keys = lines.map((line) => line.slice(0, line.indexOf("=")));

const sources = readdirSync("src", { recursive: true, encoding: "utf8" })
  .filter((name) => /\.tsx?$/.test(name) && !/\.test\.|generated/.test(name))
  .map((name) => readFileSync(join("src", name), "utf8"));

/** What is used and not there, and places that nothing fills, the compiler finds. */
describe("the page's catalogue", () => {
  it("has every key once", () => {
    expect(keys.filter((key, i) => keys.indexOf(key) !== i)).toEqual([]);
  });

  it("has no key that no page uses", () => {
    const unused = keys.filter((key) => {
      const [area = "", ...name] = key.split(".");
      const from = `"@/words/generated/${area}"`;
      return !sources.some((text) => text.includes(from) && text.includes(`"${name.join(".")}"`));
    });
    expect(unused).toEqual([]);
  });

  it("writes minus signs, and no hyphen before a number", () => {
    expect(lines.filter((line) => /(^|[ ({=])-\d/.test(line))).toEqual([]);
  });
});

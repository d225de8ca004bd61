import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";

const lines = readFileSync("../core/src/main/resources/hightally/words/page_en.properties", "utf8")
  .split("\n")
  .filter((line) => line.includes("=") && !line.startsWith("#"));

const keys = lines.map((line) => line.slice(0, line.indexOf("=")));

const of = (key: string) =>
  lines.find((line) => line.startsWith(`${key}=`))?.slice(key.length + 1) ?? "";

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

  it("is not quoted where a test looks for something: a test names the key", () => {
    const said = new Set(
      keys.map((key) => of(key).replace(/<\/?\w+>/g, "")).filter((text) => text.includes(" ")),
    );
    const looks =
      /(?:(?:Text|LabelText|Title|PlaceholderText|TextContent|DisplayValue)\(|name: )"([^"\n]*)"/g;
    const quoted = readdirSync("src", { recursive: true, encoding: "utf8" })
      .filter((name) => name.includes(".test."))
      .flatMap((name) =>
        [...readFileSync(join("src", name), "utf8").matchAll(looks)].map(
          ([, text = ""]) => [name, text] as const,
        ),
      );
    expect(quoted.length).toBeGreaterThan(50);
    expect(quoted.filter(([, text]) => said.has(text))).toEqual([]);
  });

  it("has the glossary that is in the documentation", () => {
    const terms = keys
      .filter((key) => /^glossary\.\w+\.name$/.test(key))
      .map((key) => [of(key), of(key.replace(/name$/, "means"))] as const)
      .sort(([one], [other]) => one.localeCompare(other));
    expect(terms.length).toBeGreaterThan(30);
    const text = readFileSync("../docs/glossary.md", "utf8");
    expect(text.split("\n").filter((line) => line.startsWith("- "))).toEqual(
      terms.map(([name, means]) => `- **${name}**: ${means}`),
    );
  });

  it("writes minus signs, and no hyphen before a number", () => {
    expect(lines.filter((line) => /(^|[ ({=])-\d/.test(line))).toEqual([]);
  });
});

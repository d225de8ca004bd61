import IntlMessageFormat from "intl-messageformat";
import { readFileSync } from "node:fs";

/**
 * What the page says, by key: a test names what it looks for, and a sentence may change without it.
 */
const MESSAGES = new Map(
  readFileSync("../core/src/main/resources/hightally/words/page_en.properties", "utf8")
    .split("\n")
    .filter((line) => line.includes("=") && !line.startsWith("#"))
    .map((line) => {
      const at = line.indexOf("=");
      return [line.slice(0, at), line.slice(at + 1).replace(/<\/?\w+>/g, "")] as const;
    }),
);

type Places = Record<string, string | number | boolean>;

function message(key: string): string {
  const found = MESSAGES.get(key);
  if (found === undefined) {
    throw new Error(`No message is called ${key}`);
  }
  return found;
}

/** A message whole, with every place filled. */
export const words = (key: string, places: Places = {}): string =>
  String(new IntlMessageFormat(message(key), "en").format(places));

interface Node {
  type: number;
  value: string;
}

/** A message anywhere in a text: a place that is not given may hold anything. */
export function like(key: string, places: Places = {}): RegExp {
  const nodes = new IntlMessageFormat(message(key), "en").getAst() as unknown as Node[];
  const parts = nodes.map((node) => {
    const literal = node.type === 0;
    if (!literal && !(node.value in places)) {
      return ".*?";
    }
    const text = literal ? node.value : new IntlMessageFormat([node] as never, "en").format(places);
    return String(text).replace(/[.*+?^${}()|[\]\\/]/g, "\\$&");
  });
  return new RegExp(parts.join(""));
}

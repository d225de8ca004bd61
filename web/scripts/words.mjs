/**
 * Makes the page's words from the catalogue, a file for each area, so that a page loads only what it
 * says. Messages are read here, once: the browser gets them in the form in which they are filled.
 */
import { parse, TYPE } from "@formatjs/icu-messageformat-parser";
import { mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";

const CATALOGUE = "../core/src/main/resources/hightally/words/page_en.properties";
const CORE = "../core/src/main/resources/hightally/words/messages_en.properties";
const OUT = "src/words/generated";

/** The enums of the core whose words the page says too. */
const ENUMS = [
  "Air",
  "BetweenKind",
  "CheckKind",
  "ConditionKind",
  "Control",
  "EntrySection",
  "Failsafe",
  "NoseNote",
  "PanelRole",
  "PartKind",
  "PhaseRole",
  "Pilot",
  "Regime",
  "RodEndKind",
  "Shape",
  "Side",
  "SocketOutput",
  "SourceKind",
  "StickFunction",
  "SubTrimMode",
  "SurfaceRole",
  "TrimLever",
  "Way",
  "Wind",
];

/** Areas of the core's own messages that the page says too. */
const SHARED = ["clicks"];

/** The lines of a file of the catalogue, in its order: key and pattern. */
function catalogue(file) {
  return readFileSync(file, "utf8")
    .split("\n")
    .filter((line) => line.includes("=") && !line.startsWith("#"))
    .map((line) => [line.slice(0, line.indexOf("=")), line.slice(line.indexOf("=") + 1)]);
}

/** The places of a message and what fills each: a number, yes or no, words, or an element around words. */
function places(nodes, found = new Map()) {
  for (const node of nodes) {
    if (node.type === TYPE.argument) {
      if (!found.has(node.value)) {
        found.set(node.value, "Filling");
      }
    } else if (node.type === TYPE.plural) {
      found.set(node.value, "number");
    } else if (node.type === TYPE.select) {
      const choices = Object.keys(node.options).filter((one) => one !== "other");
      found.set(node.value, choices.join() === "true" ? "boolean" : "string");
    } else if (node.type === TYPE.tag) {
      found.set(node.value, "Around");
      places(node.children, found);
    }
    if (node.options !== undefined) {
      Object.values(node.options).forEach((one) => places(one.value, found));
    }
  }
  return found;
}

const bare = (nodes) =>
  nodes.map((node) => ({
    ...node,
    location: undefined,
    ...(node.options && {
      options: Object.fromEntries(
        Object.entries(node.options).map(([key, one]) => [key, { value: bare(one.value) }]),
      ),
    }),
    ...(node.children && { children: bare(node.children) }),
  }));

function written(messages) {
  const read = messages.map(([key, pattern]) => {
    const nodes = parse(pattern, { ignoreTag: false });
    const plain = nodes.length === 1 && nodes[0].type === TYPE.literal;
    return { key, plain, nodes, value: plain ? nodes[0].value : bare(nodes) };
  });
  const types = [...new Set(read.flatMap((one) => [...places(one.nodes).values()]))].filter((one) =>
    ["Filling", "Around"].includes(one),
  );
  return `// Made by scripts/words.mjs from the catalogue; not to be changed here.
import { sayer${types.map((one) => `, type ${one}`).join("")} } from "../sayer";

interface Places {
${read
  .map(({ key, nodes }) => {
    const all = [...places(nodes)].map(([name, type]) => `${name}: ${type}`).join("; ");
    return `"${key}": ${all === "" ? "object" : `{ ${all} }`};`;
  })
  .join("\n")}
}

export const { say, Say } = sayer<Places>(${JSON.stringify(
    Object.fromEntries(read.map(({ key, value }) => [key, value])),
  )});
`;
}

const areas = new Map();
const shared = catalogue(CORE).filter(([key]) => SHARED.includes(key.slice(0, key.indexOf("."))));
for (const [key, pattern] of [...catalogue(CATALOGUE), ...shared]) {
  const area = key.slice(0, key.indexOf("."));
  areas.set(area, [...(areas.get(area) ?? []), [key.slice(area.length + 1), pattern]]);
}
rmSync(OUT, { recursive: true, force: true });
mkdirSync(OUT, { recursive: true });
for (const [area, messages] of areas) {
  writeFileSync(`${OUT}/${area}.ts`, written(messages));
}

const words = Object.fromEntries(ENUMS.map((one) => [one, {}]));
for (const [key, pattern] of catalogue(CORE)) {
  const [kind, name] = key.split(".");
  if (ENUMS.includes(kind)) {
    words[kind][name] = pattern;
  }
}
writeFileSync(
  `${OUT}/enums.ts`,
  `// Made by scripts/words.mjs from the catalogue; not to be changed here.
import { marked } from "../language";

const WORDS = ${JSON.stringify(words)} as const;

/** What a value of one of the core's enums is called, there and here. */
export const told = <K extends keyof typeof WORDS>(kind: K, name: keyof (typeof WORDS)[K]) =>
  marked(WORDS[kind][name] as string);
`,
);

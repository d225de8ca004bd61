// One list of what ships: name, version and licence of every library in the jar and in the page,
// from the bill of material that Maven writes and the lock file of the page. Arguments: these two, and
// the folder to write third-party.md and sbom.json into.
import { readFileSync, writeFileSync } from "node:fs";

const [ofJava, ofPage, into] = process.argv.slice(2);

const licence = (component) =>
  (component.licenses ?? [])
    .map((one) => one.license?.id ?? one.license?.name ?? one.expression)
    .filter(Boolean)
    .join(" or ") || "see its own files";

const read = (file) => JSON.parse(readFileSync(file, "utf8"));

const jar = read(ofJava)
  .components.filter((one) => one.scope !== "excluded" && !one.group?.startsWith("hightally"))
  .map((one) => ({
    part: "jar",
    name: `${one.group}:${one.name}`,
    version: one.version,
    licence: licence(one),
    purl: one.purl,
  }));

const page = Object.entries(read(ofPage).packages)
  .filter(([path, one]) => path !== "" && !one.dev && !one.devOptional)
  .map(([path, one]) => {
    const name = path.slice(path.lastIndexOf("node_modules/") + "node_modules/".length);
    return {
      part: "page",
      name,
      version: one.version,
      licence: one.license ?? "see its own files",
      purl: `pkg:npm/${name.replace("@", "%40")}@${one.version}`,
    };
  });

const all = [...jar, ...page].sort((one, other) =>
  `${one.part} ${one.name} ${one.version}` < `${other.part} ${other.name} ${other.version}`
    ? -1
    : 1,
);

const rows = all.map((one) => `| ${one.part} | ${one.name} | ${one.version} | ${one.licence} |`);
writeFileSync(
  `${into}/third-party.md`,
  [
    "# What ships besides our own code",
    "Every library in the jar and in the page, with its version and licence. Written by `./high-tally third-party`, together with [`sbom.json`](sbom.json) (CycloneDX 1.5); a test holds the libraries of the jar and of the page against it.",
    "",
    "| in | library | version | licence |",
    "|---|---|---|---|",
    ...rows,
    "",
  ].join("\n"),
);
const components = all.map(({ name, version, licence: name_, purl }) => ({
  type: "library",
  name,
  version,
  licenses: [{ license: { name: name_ } }],
  purl,
}));
writeFileSync(
  `${into}/sbom.json`,
  `${JSON.stringify({ bomFormat: "CycloneDX", specVersion: "1.5", version: 1, components }, null, 1)}\n`,
);

// Prints how much script the first page load fetches, gzipped, and fails above the limit.
import { readFileSync } from "node:fs";
import { gzipSync } from "node:zlib";

const LIMIT_KB = 168;
const html = readFileSync("dist/index.html", "utf8");
const scripts = [...html.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map(
  (match) => match[1],
);
const bytes = scripts.reduce((sum, path) => sum + gzipSync(readFileSync(`dist${path}`)).length, 0);
const kb = bytes / 1000;
console.log(`First load: ${kb.toFixed(1)} kB of script, gzipped (limit ${LIMIT_KB} kB)`);
if (scripts.length === 0 || kb > LIMIT_KB) {
  process.exit(1);
}

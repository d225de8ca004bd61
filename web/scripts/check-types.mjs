// Fails when the API types in src/api/generated are not what openapi.json describes.
import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

const fresh = join(mkdtempSync(join(tmpdir(), "types-")), "schema.d.ts");
const run = (command, ...args) => execFileSync("npx", ["--no-install", command, ...args]);
run("openapi-typescript", "openapi.json", "-o", fresh);
run("prettier", "--config", ".prettierrc.json", "--write", fresh);
if (readFileSync(fresh, "utf8") !== readFileSync("src/api/generated/schema.d.ts", "utf8")) {
  console.error("src/api/generated/schema.d.ts is stale: run 'npm run types' in web/.");
  process.exit(1);
}

import { readFileSync } from "node:fs";
import { vi } from "vitest";

/** What the program answered when every address was opened; a test of the program keeps it fresh. */
const recorded = JSON.parse(readFileSync("src/test/walk/recorded.json", "utf8")) as Record<
  string,
  unknown
>;

export const pages = recorded["pages"] as string[];

const MEASURES = /(mm|percent|degrees|grams|volts|seconds|micros)$/i;

/** How far the figures of an answer are moved, so that none is another's: tenths. */
const STEPS = 97;
const TENTHS = 10;

/** An answer with all its measures made unlike, that none can be taken for another. */
function unlike(answer: unknown): unknown {
  let count = 0;
  const walk = (one: unknown, field: string): unknown => {
    if (typeof one === "number" && (!Number.isInteger(one) || MEASURES.test(field))) {
      count += 1;
      const moved = one + (((count * 31) % STEPS) + 1) / TENTHS;
      return Math.round(moved * TENTHS) / TENTHS;
    }
    if (Array.isArray(one)) {
      return one.map((part) => walk(part, field));
    }
    if (typeof one === "object" && one !== null) {
      return Object.fromEntries(Object.entries(one).map(([key, part]) => [key, walk(part, key)]));
    }
    return one;
  };
  return walk(answer, "");
}

const answerOf = (asked: string) => {
  const exact = recorded[asked];
  const [method, path] = asked.split(" ");
  const like = Object.keys(recorded).find(
    (one) => one.split(" ").slice(0, 2).join(" ") === `${method} ${path}`,
  );
  return (exact ?? (like === undefined ? undefined : recorded[like])) as
    { status: number; body: unknown } | undefined;
};

/** An answer that is read at once: nothing of it comes in its own time. */
function atOnce(status: number, body: unknown): Response {
  const text = body === null ? "" : JSON.stringify(body);
  return Object.assign(
    new Response(null, { status, headers: { "Content-Type": "application/json" } }),
    { text: () => Promise.resolve(text), json: () => Promise.resolve(body) },
  );
}

/** What a page stands on: without it there is no page that could say what failed. */
const GROUND = /^GET \/api\/(fields|aircraft\/\d+(\/standing|\/standing-trims)?)$/;

/**
 * Stands in for the program and its sockets; what nobody recorded is told.
 *
 * @param refuses whether all that is asked besides is answered with a failure
 */
export function recordedProgram(
  page: string,
  refuses = false,
): { missing: string[]; refused: string[] } {
  const missing: string[] = [];
  const refused: string[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    const url = new URL(request.url);
    const asked = `${request.method} ${url.pathname}${url.search}`;
    if (refuses && !GROUND.test(asked)) {
      refused.push(asked);
      return atOnce(500, { detail: "planted" });
    }
    const answer = answerOf(asked);
    if (answer === undefined) {
      missing.push(asked);
      return atOnce(404, {});
    }
    return atOnce(answer.status, unlike(answer.body));
  });
  vi.stubGlobal("WebSocket", socketOn(page));
  return { missing, refused };
}

/** A frame that was told: what it answers is its type, its number that of the question. */
interface Told {
  type?: string;
  number?: number;
}

/** What the page asks for, and the type of what answers it. */
const ANSWERS: Record<string, string> = { load: "loaded", move: "frame" };

/** A socket that answers what is sent with what was told on that page. */
const socketOn = (page: string) =>
  class {
    static readonly OPEN = 1;
    readyState = 1;
    onopen?: () => void;
    onmessage?: (event: { data: string }) => void;
    onclose?: () => void;
    private told: Told[];

    constructor(url: string) {
      this.told = (recorded[
        `SOCKET ${new URL(url).pathname} ${page.replace(/^(models\/\d+)\/.*/, "$1")}`
      ] ?? []) as Told[];
      setTimeout(() => this.onopen?.(), 0);
    }

    send(text: string) {
      const { number, type = "" } = JSON.parse(text) as Told;
      const answer = this.told.find((one) => one.type === ANSWERS[type]);
      if (answer !== undefined) {
        const data = JSON.stringify({ ...(unlike(answer) as Told), number });
        setTimeout(() => this.onmessage?.({ data }), 0);
      }
    }

    close() {
      this.told = [];
    }
  };

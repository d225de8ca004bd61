import { beforeEach, describe, expect, it, vi } from "vitest";
import type { ApiError } from "./client";

const NAME = "high-tally.outbox";

interface Seen {
  path: string;
  key: string | null;
  body: Record<string, unknown>;
}

/** A program that can be out of reach; it does the work of a key once. */
class Program {
  reachable = true;
  loseNextAnswer = false;
  seen: Seen[] = [];
  done: Record<string, unknown>[] = [];
  keys = new Map<string, unknown>();
  answer: (body: Record<string, unknown>) => [number, unknown] = (body) => [200, body];

  fetch = async (request: Request): Promise<Response> => {
    if (!this.reachable) {
      throw new TypeError("Failed to fetch");
    }
    const { pathname } = new URL(request.url);
    if (pathname === "/api/devices/here") {
      return new Response("{}");
    }
    const key = request.headers.get("Idempotency-Key");
    const body = (await request.json()) as Record<string, unknown>;
    this.seen.push({ path: pathname, key, body });
    const before = this.keys.get(key ?? "");
    const [status, answer] = before === undefined ? this.answer(body) : [200, before];
    if (status === 200 && before === undefined) {
      this.keys.set(key ?? "", answer);
      this.done.push(body);
    }
    if (this.loseNextAnswer) {
      this.loseNextAnswer = false;
      throw new TypeError("Failed to fetch");
    }
    return new Response(JSON.stringify(answer), { status });
  };
}

let program: Program;
let box: typeof import("./outbox");
let reach: typeof import("./reach");

/** The page opened anew: everything in memory is gone. */
async function open(): Promise<void> {
  vi.resetModules();
  reach = await import("./reach");
  box = await import("./outbox");
  reach.onReturn(box.pump);
}

const letter = (body: Record<string, unknown>, chain = "") => ({
  words: `Entry ${String(body.n)}`,
  method: "POST" as const,
  path: "/api/entries",
  body,
  chain,
  shows: [],
  forms: [],
  page: "/",
});

const kept = () => JSON.parse(localStorage.getItem(NAME) ?? "[]") as { refused: string }[];

beforeEach(async () => {
  vi.useFakeTimers();
  localStorage.clear();
  program = new Program();
  vi.stubGlobal("fetch", program.fetch);
  await open();
});

const back = async () => {
  program.reachable = true;
  await vi.advanceTimersByTimeAsync(3_100);
};

describe("what is entered", () => {
  it("is sent at once where the program answers", async () => {
    expect(await box.send(letter({ n: 1 }), "key-0001")).toEqual({ answer: { n: 1 } });
    expect(kept()).toEqual([]);
  });

  it("waits while it does not, and is sent once and in order when it is back", async () => {
    program.reachable = false;
    for (const n of [1, 2, 3]) {
      expect(await box.send(letter({ n }), `key-000${n}`)).toEqual({
        answer: undefined,
        waits: true,
      });
    }
    expect(kept()).toHaveLength(3);
    await back();
    expect(program.done).toEqual([{ n: 1 }, { n: 2 }, { n: 3 }]);
    expect(program.seen).toHaveLength(3);
    expect(kept()).toEqual([]);
  });

  it("is there after the page was opened anew", async () => {
    program.reachable = false;
    await box.send(letter({ n: 1 }), "key-0001");
    await open();
    program.reachable = true;
    box.pump();
    await vi.advanceTimersByTimeAsync(10);
    expect(program.done).toEqual([{ n: 1 }]);
  });

  it("is done once though its answer was lost on the way", async () => {
    program.loseNextAnswer = true;
    expect(await box.send(letter({ n: 1 }), "key-0001")).toMatchObject({ waits: true });
    await back();
    expect(program.seen.map((one) => one.key)).toEqual(["key-0001", "key-0001"]);
    expect(program.done).toEqual([{ n: 1 }]);
  });

  it("names in a chain the version the one before it made", async () => {
    let version = 4;
    program.answer = (body) =>
      body.version === version ? [200, { version: ++version }] : [409, { detail: "Moved on." }];
    program.reachable = false;
    await box.send(letter({ n: 1, version: 4 }, "order"), "key-0001");
    await box.send(letter({ n: 2, version: 4 }, "order"), "key-0002");
    await box.send(letter({ n: 3 }, "order"), "key-0003");
    program.answer = (body) =>
      body.version === undefined || body.version === version
        ? [200, { version: ++version }]
        : [409, { detail: "Moved on." }];
    await back();
    expect(program.done.map((one) => one.version)).toEqual([4, 5, undefined]);
  });

  it("goes back to whoever pressed the button where it is refused at once", async () => {
    program.answer = () => [422, { detail: "No.", violations: [] }];
    const refused = box.send(letter({ n: 1 }), "key-0001");
    await expect(refused).rejects.toMatchObject({ status: 422, message: "No." } as ApiError);
    expect(kept()).toEqual([]);
  });

  it("stays with the reason where it is refused later, and so does what stood on it", async () => {
    program.reachable = false;
    await box.send(letter({ n: 1, version: 1 }, "order"), "key-0001");
    await box.send(letter({ n: 2, version: 1 }, "order"), "key-0002");
    await box.send(letter({ n: 3 }), "key-0003");
    program.answer = (body) => (body.n === 1 ? [409, { detail: "Moved on." }] : [200, body]);
    await back();
    expect(program.done).toEqual([{ n: 3 }]);
    expect(kept().map((one) => one.refused)).toEqual([
      "Moved on.",
      "An earlier entry was not accepted.",
    ]);
  });

  it("goes on waiting where the disk is full or the device was sent away", async () => {
    for (const status of [503, 401]) {
      program.reachable = false;
      await box.send(letter({ n: status }), `key-0${status}`);
      program.answer = () => [status, { detail: "Not now." }];
      await back();
      expect(kept().map((one) => one.refused)).toEqual([""]);
      program.answer = (body) => [200, body];
      box.pump();
      await vi.advanceTimersByTimeAsync(10);
      expect(kept()).toEqual([]);
    }
  });

  it("is still sent where the browser can keep nothing", async () => {
    const full = vi.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
      throw new DOMException("full", "QuotaExceededError");
    });
    program.reachable = false;
    await box.send(letter({ n: 1 }), "key-0001");
    await box.send(letter({ n: 2 }), "key-0002");
    await back();
    expect(program.done).toEqual([{ n: 1 }, { n: 2 }]);
    full.mockRestore();
  });

  it("that was kept and is broken costs the page nothing", async () => {
    localStorage.setItem(NAME, '[{"key": 3}]');
    await open();
    expect(await box.send(letter({ n: 1 }), "key-0001")).toEqual({ answer: { n: 1 } });
  });
});

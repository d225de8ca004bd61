import { signal } from "@/domain/signal";
import { secondsSince } from "@/domain/words";
import { forget, keep, kept, shaped, type Keeping } from "@/domain/storage";
import { type ApiError, problemOf } from "./client";
import { reached } from "./reach";
import { say } from "@/words/generated/domain";

/**
 * What was entered and not yet taken by the program: kept in this browser before it is sent, sent in
 * the order it was entered, each once. What the program refuses stays until the pilot has seen it.
 */
export interface Letter {
  /** The program does the work of a key once, however often it is sent. */
  key: string;
  at: string;
  /** What it is, for the pilot. */
  words: string;
  method: "POST" | "PUT";
  path: string;
  body: Record<string, unknown>;
  /** Those of one chain stand on one another: each names the version the one before it made. */
  chain: string;
  /** Where the page keeps what its answer shows. */
  shows: readonly unknown[];
  /** The page's forms it was typed in, by the names they are kept under, to be filled in again. */
  forms: { name: string; value: unknown }[];
  /** Where it is entered. */
  page: string;
  /** Whether whoever wrote it has gone on without its answer. */
  late: boolean;
  /** Why the program did not take it. */
  refused: string;
}

export type Written = Omit<Letter, "key" | "at" | "late" | "refused">;

/** What came of a letter: the program's answer, or that it waits. */
export type Outcome = { answer: unknown } | { answer: undefined; waits: true };

const NAME = "high-tally.outbox";
const isLetters = (value: unknown): value is Letter[] =>
  Array.isArray(value) &&
  value.every((one) =>
    shaped(one, {
      key: "string",
      words: "string",
      method: "string",
      path: "string",
      body: "object",
      chain: "string",
      shows: "array",
      forms: "array",
      page: "string",
      late: "boolean",
      refused: "string",
    }),
  );

/** What waits, and what was refused; those being sent at this moment are among them. */
const letters = signal<Letter[]>(read());
export const useLetters = letters.use;

/** How what waits is kept. */
const keeping = signal<Keeping>("kept");
export const useLettersKept = keeping.use;
const waiting = new Map<string, { done: (outcome: Outcome) => void; fail: (why: Error) => void }>();
let answers: (letter: Letter, answer: unknown) => void = () => undefined;

function read(): Letter[] {
  const found = kept(NAME, isLetters);
  return found.state === "kept" ? found.value : [];
}

/** Changes what is kept; another tab may have changed it meanwhile. */
function change(how: (all: Letter[]) => Letter[]): void {
  const changed = how(keeping.now() === "kept" ? read() : letters.now());
  if (changed.length === 0) {
    forget(NAME);
  }
  keeping.set(changed.length === 0 ? "kept" : keep(NAME, changed));
  letters.set(changed);
}

const without = (key: string) => change((all) => all.filter((one) => one.key !== key));

globalThis.addEventListener?.("storage", (event) => {
  if (event.key === NAME) {
    letters.set(read());
  }
});

/** Writes a letter and sends it, after those that wait already; the same one again has the same key. */
export function send(written: Written, key: string): Promise<Outcome> {
  const letter = {
    ...written,
    key,
    at: new Date().toISOString(),
    late: false,
    refused: "",
  };
  change((all) => [...all.filter((one) => one.key !== key), letter]);
  return new Promise((done, fail) => {
    waiting.set(letter.key, { done, fail });
    pump();
  });
}

let pumping = false;
let again = false;

/** Sends what waits. */
export function pump(): void {
  again = true;
  if (!pumping) {
    pumping = true;
    void pumped();
  }
}

async function pumped(): Promise<void> {
  try {
    while (again) {
      again = false;
      await sendAll();
      // Who wrote while the program is away need not wait for it.
      if (letters.now().some((one) => !one.late)) {
        change((all) => all.map((one) => ({ ...one, late: true })));
      }
      for (const letter of letters.now()) {
        settle(letter, { answer: undefined, waits: true });
      }
    }
  } finally {
    pumping = false;
    if (letters.now().some(stillWaits)) {
      setTimeout(pump, AGAIN_MS);
    }
  }
}

function settle(letter: Letter, outcome: Outcome): void {
  waiting.get(letter.key)?.done(outcome);
  waiting.delete(letter.key);
}

/** How soon what the program could not take is sent again: a full disk may have room by then. */
const AGAIN_MS = 5_000;
const SERVER_FAULT = 500;
const NOT_LET_IN = 401;

async function sendAll(): Promise<void> {
  for (;;) {
    const letter = letters.now().find(stillWaits);
    if (letter === undefined) {
      return;
    }
    let answer: Response;
    try {
      answer = await reached(request(letter));
    } catch {
      return;
    }
    const body: unknown = await answer.json().catch(() => undefined);
    if (answer.ok) {
      taken(letter, body);
    } else if (!notTaken(letter, problemOf(answer, body))) {
      return;
    }
  }
}

const request = (letter: Letter) =>
  new Request(new URL(letter.path, location.href), {
    method: letter.method,
    headers: {
      "Content-Type": "application/json",
      "Idempotency-Key": letter.key,
      "Entered-Seconds-Ago": String(secondsSince(letter.at)),
    },
    body: JSON.stringify(letter.body),
  });

function taken(letter: Letter, answer: unknown): void {
  without(letter.key);
  if (letter.chain !== "" && shaped(answer, { version: "number" })) {
    const { version } = answer as { version: number };
    change((all) =>
      all.map((one) =>
        one.chain === letter.chain && "version" in one.body
          ? { ...one, body: { ...one.body, version } }
          : one,
      ),
    );
  }
  if (waiting.has(letter.key)) {
    settle(letter, { answer });
  } else if (!letters.now().some((one) => stillWaits(one) && sameChain(one, letter))) {
    // What the program knows of something is shown once it has all that was entered of it.
    answers(letter, answer);
  }
}

export const stillWaits = (one: Letter) => one.refused === "";
const sameChain = (one: Letter, other: Letter) => one.chain !== "" && one.chain === other.chain;

/** Whether the next may be sent all the same. */
function notTaken(letter: Letter, problem: ApiError): boolean {
  const asked = waiting.get(letter.key);
  if (asked !== undefined) {
    // Whoever pressed the button still has it before him.
    without(letter.key);
    waiting.delete(letter.key);
    asked.fail(problem);
    return true;
  }
  if (problem.status === NOT_LET_IN || problem.status >= SERVER_FAULT) {
    return false;
  }
  const why = [
    problem.message,
    ...problem.violations.map((one) =>
      say("outbox.refused", {
        field: one.field,
        value: one.value,
        requirement: one.requirement,
      }),
    ),
  ].join(" ");
  change((all) =>
    all.map((one) => {
      const stands = letter.chain !== "" && one.chain === letter.chain && one.refused === "";
      return one.key === letter.key
        ? { ...one, refused: why }
        : stands
          ? { ...one, refused: say("outbox.earlierRefused") }
          : one;
    }),
  );
  answers(letter, undefined);
  return true;
}

/** Takes a letter that was refused out. */
export const drop = (letter: Letter) => without(letter.key);

/** What is done with the answer to a letter whose writer went on without it; none where it was refused. */
export function onAnswer(work: (letter: Letter, answer: unknown) => void): () => void {
  answers = work;
  return () => {
    answers = () => undefined;
  };
}

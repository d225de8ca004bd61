import { signal } from "@/domain/signal";
import { readerHeaders } from "@/domain/reader";
import { shutOut } from "./door";

/** How soon a page looks again whether the program is back. */
const AGAIN_MS = 3_000;
const NOT_LET_IN = 401;

/** Since when the program has not answered; undefined while it does. */
const away = signal<Date | undefined>(undefined);
export const useAway = away.use;
let heart: ReturnType<typeof setInterval> | undefined;

function gone(): void {
  if (away.now() === undefined) {
    away.set(new Date());
    heart = setInterval(() => void beat(), AGAIN_MS);
  }
}

function back(): void {
  if (away.now() !== undefined) {
    clearInterval(heart);
    away.set(undefined);
  }
}

async function beat(): Promise<void> {
  try {
    await globalThis.fetch(new Request(new URL("/api/devices/here", location.href)));
    back();
  } catch {
    // Not yet.
  }
}

/**
 * Every request of the page: in this reader's units, and noticed where it never arrives. While the
 * program is away the page looks again by itself.
 */
export async function reached(request: Request): Promise<Response> {
  for (const [name, value] of Object.entries(readerHeaders())) {
    request.headers.set(name, value);
  }
  try {
    const answer = await globalThis.fetch(request);
    shutOut.set(answer.status === NOT_LET_IN);
    met = true;
    back();
    return answer;
  } catch (error) {
    // What the page itself broke off says nothing about the program.
    if (error instanceof DOMException && error.name === "AbortError") {
      throw error;
    }
    gone();
    const before = await remembered(request);
    if (before === undefined) {
      throw error;
    }
    return before;
  }
}

/** Whether the program has answered since the page was loaded, and what the browser gave instead. */
let met = false;
const given = new Set<string>();

/**
 * What the browser has kept of an earlier answer: a tab that was put to sleep and comes back where
 * the program is away would else be empty. Once each, since what the page knows by then is newer.
 */
async function remembered(request: Request): Promise<Response | undefined> {
  if (met || request.method !== "GET" || given.has(request.url)) {
    return undefined;
  }
  given.add(request.url);
  const { url, headers } = request;
  try {
    const kept = await globalThis.fetch(
      new Request(url, { headers, mode: "same-origin", cache: "only-if-cached" }),
    );
    return kept.ok ? kept : undefined;
  } catch {
    return undefined;
  }
}

/** Does something whenever the program is back. */
export const onReturn = (work: () => void) =>
  away.subscribe(() => {
    if (away.now() === undefined) {
      work();
    }
  });

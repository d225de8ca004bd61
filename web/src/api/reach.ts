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
    back();
    return answer;
  } catch (error) {
    // What the page itself broke off says nothing about the program.
    if (!(error instanceof DOMException && error.name === "AbortError")) {
      gone();
    }
    throw error;
  }
}

/** Does something whenever the program is back. */
export const onReturn = (work: () => void) =>
  away.subscribe(() => {
    if (away.now() === undefined) {
      work();
    }
  });

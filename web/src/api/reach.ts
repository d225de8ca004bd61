import { useSyncExternalStore } from "react";
import { readerHeaders } from "@/domain/reader";
import { shutOut } from "./door";

/** How soon a page looks again whether the program is back. */
const AGAIN_MS = 3_000;
const NOT_LET_IN = 401;

/** Since when the program has not answered; undefined while it does. */
let away: Date | undefined;
let heart: ReturnType<typeof setInterval> | undefined;
const listeners = new Set<() => void>();
const returns = new Set<() => void>();

function set(since: Date | undefined): void {
  away = since;
  listeners.forEach((listener) => listener());
}

function gone(): void {
  if (away === undefined) {
    set(new Date());
    heart = setInterval(() => void beat(), AGAIN_MS);
  }
}

function back(): void {
  if (away !== undefined) {
    clearInterval(heart);
    set(undefined);
    returns.forEach((one) => one());
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
    shutOut(answer.status === NOT_LET_IN);
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
export function onReturn(work: () => void): () => void {
  returns.add(work);
  return () => void returns.delete(work);
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** Since when the program has not answered; undefined while it does. */
export const useAway = () => useSyncExternalStore(subscribe, () => away);

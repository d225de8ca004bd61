import createClient from "openapi-fetch";
import { reached } from "./reach";
import type { Schemas } from "@/domain/contract";
import type { paths } from "./generated/schema";
import { say } from "@/words/generated/domain";

export type { Schemas };

/** One thing wrong with an input: which field, what was given, what would be legal. */
export interface Violation {
  field: string;
  value: string;
  requirement: string;
}

/** The status of a call that never arrived. */
export const NO_ANSWER = 0;

/** The status of a change made on what is not the newest any more. */
export const CONFLICT = 409;

/** A call that failed; the message says what happened and what to do. */
export class ApiError extends Error {
  readonly status: number;
  readonly violations: Violation[];

  constructor(status: number, message: string, violations: Violation[]) {
    super(message);
    this.status = status;
    this.violations = violations;
  }
}

export const api = createClient<paths>({ baseUrl: "", fetch: reached });

/**
 * A key for a request that must do its work once, however often it is sent. The same value sent
 * again while it has not been answered carries the same key.
 */
export function requestKey(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return [...bytes].map((one) => one.toString(16).padStart(2, "0")).join("");
}

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/** The data of a call, or an {@link ApiError}; a call that never arrived becomes one as well. */
export async function answered<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch {
    throw new ApiError(NO_ANSWER, say("client.noAnswer"), []);
  }
  if (!answer.response.ok) {
    throw problemOf(answer.response, answer.error);
  }
  return answer.data as T;
}

/** What an answer that refuses says. */
export function problemOf(response: Response, body: unknown): ApiError {
  const problem = (body ?? {}) as { detail?: string; violations?: Violation[] };
  return new ApiError(
    response.status,
    problem.detail ?? say("client.status", { status: response.status }),
    problem.violations ?? [],
  );
}

/** A request that changes something says what it brings, also where that is nothing. */
export const JSON_BROUGHT = { "Content-Type": "application/json" } as const;

import type { Query } from "@tanstack/react-query";
import { ApiError } from "./client";

/** How soon a page asks again that had no answer. */
const AGAIN_MS = 3_000;

/**
 * A page that could not reach the program asks again until it can, and is then as it would have been;
 * an answer that refuses is an answer.
 */
export const whileAway = (query: Pick<Query, "state">): number | false => {
  const { status, error } = query.state;
  return status === "error" && error instanceof ApiError && error.status === 0 ? AGAIN_MS : false;
};

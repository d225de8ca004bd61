/**
 * The language this browser asks for. English is the only one there is; in the made-up language
 * `en-XA` every message is English between marks, so that what stands unmarked is in no catalogue.
 */
const KEPT = "language";
const MADE_UP = "en-XA";

/** The language of the catalogue. */
export const LANGUAGE = "en";

const madeUp = typeof localStorage !== "undefined" && localStorage.getItem(KEPT) === MADE_UP;

/** What the server is told of it: nothing where the browser's own languages do. */
export const languageHeaders = (): Record<string, string> =>
  madeUp ? { "Accept-Language": MADE_UP } : {};

/** A message as it is shown. */
export const marked = (words: string) => (madeUp ? `⟦${words}⟧` : words);

/** The same around elements. */
export const markedAround = <T>(parts: readonly T[]): readonly (T | string)[] =>
  madeUp ? ["⟦", ...parts, "⟧"] : parts;

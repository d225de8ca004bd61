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

interface Node {
  type: number;
  value?: unknown;
  options?: Record<string, { value: Node[] }>;
  children?: Node[];
}

/** A literal, and a place that is filled as it comes, as the parser of messages numbers them. */
const LITERAL = 0;
const ARGUMENT = 1;

/**
 * A message to be filled. In the made-up language the marks end before what fills a place and go on
 * after it, so that words put there from no catalogue stand unmarked too.
 */
export function filledIn<M>(message: M): M {
  const around = (nodes: Node[]): Node[] =>
    nodes.flatMap((node) =>
      node.type === ARGUMENT
        ? [{ type: LITERAL, value: "⟧" }, node, { type: LITERAL, value: "⟦" }]
        : [
            {
              ...node,
              ...(node.options && {
                options: Object.fromEntries(
                  Object.entries(node.options).map(([key, one]) => [
                    key,
                    { value: around(one.value) },
                  ]),
                ),
              }),
              ...(node.children && { children: around(node.children) }),
            },
          ],
    );
  return madeUp && Array.isArray(message) ? (around(message) as M) : message;
}

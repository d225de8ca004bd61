import IntlMessageFormat from "intl-messageformat";
import { createElement, Fragment, type ReactNode } from "react";
import { filledIn, LANGUAGE, marked, markedAround } from "./language";

/** What may stand in a place of a message. */
export type Filling = ReactNode;

/** What is put around words of a message: a link, or what makes them bold. */
export type Around = (words: ReactNode) => ReactNode;

type Message = ConstructorParameters<typeof IntlMessageFormat>[0];

type Filled<P> = keyof P extends never ? [] : [places: { [K in keyof P]: P[K] }];
/** What text takes: words and numbers for a place, nothing around words. */
type Plain<P> = {
  [K in keyof P]: P[K] extends Around
    ? never
    : P[K] extends string | number | boolean
      ? P[K]
      : string | number | false | null | undefined;
};

/** The words of one area of the page: each message by its key, with its places filled. */
export function sayer<P extends object>(messages: Record<keyof P & string, unknown>) {
  const formats = new Map<string, IntlMessageFormat>();
  const format = (id: keyof P & string) => {
    const known =
      formats.get(id) ?? new IntlMessageFormat(filledIn(messages[id]) as Message, LANGUAGE);
    formats.set(id, known);
    return known;
  };
  /** A message as text. */
  function say<K extends keyof P & string>(id: K, ...[places]: Filled<Plain<P[K]>>): string {
    const message = messages[id];
    return marked(
      typeof message === "string" ? message : String(format(id).format(places as never)),
    );
  }
  /** A message with elements in its places or around its words. */
  function Say<K extends keyof P & string>({ id, values }: { id: K; values: P[K] }): ReactNode {
    const parts: unknown = format(id).format(values as never);
    const list = (Array.isArray(parts) ? parts : [parts]) as ReactNode[];
    return createElement(Fragment, null, ...markedAround(list));
  }
  return { say, Say };
}

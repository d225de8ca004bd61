import { Fragment, type ReactNode } from "react";

/**
 * Stands in for the words of the page: each message is said by its key and what stands in its
 * places, so that what is laid out can be told from what it is called, and a sentence may change.
 */

type Places = Record<string, unknown>;

const parts = (id: string, places: Places): ReactNode[] => [
  id,
  ...Object.entries(places).flatMap(([name, filling], at) => [
    `${at === 0 ? "(" : ", "}${name}: `,
    typeof filling === "function"
      ? (filling as (words: ReactNode) => ReactNode)(name)
      : typeof filling === "boolean"
        ? String(filling)
        : (filling as ReactNode),
  ]),
  ...(Object.keys(places).length > 0 ? [")"] : []),
];

export function sayer() {
  const say = (id: string, places: Places = {}) => parts(id, places).join("");
  const Say = ({ id, values }: { id: string; values: Places }) => (
    <>
      {parts(id, values).map((part, at) => (
        <Fragment key={at}>{part}</Fragment>
      ))}
    </>
  );
  return { say, Say };
}

/** What a value of an enum is called. */
export const told = (kind: string, name: string) => `${kind}.${name}`;

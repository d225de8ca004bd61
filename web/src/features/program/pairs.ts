import type { Setup } from "@/api/queries";
import { within } from "@/domain/words";
import { say } from "@/words/generated/program";

type Surface = Setup["surfaces"][number];

/** A surface, with the one that mirrors it where there is one. */
export interface Row {
  first: Surface;
  second?: Surface;
}

/** Surfaces as a pilot counts them: a pair is one thing. */
export function rows(surfaces: readonly Surface[]): Row[] {
  const told = new Set<string>();
  return surfaces.flatMap((first) => {
    if (told.has(first.id)) {
      return [];
    }
    const second = surfaces.find((one) => one.id === first.pair);
    told.add(first.id);
    if (second === undefined) {
      return [{ first }];
    }
    told.add(second.id);
    return [{ first, second }];
  });
}

export const rowName = ({ first, second }: Row) =>
  second === undefined
    ? first.name
    : say("pairs.and", { first: first.name, second: within(second.name) });

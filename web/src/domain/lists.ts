/** A list with one of its entries and the one after it exchanged. */
export const exchanged = <T>(list: readonly T[], place: number): T[] =>
  list.map((one, i) => (i === place ? list[i + 1] : i === place + 1 ? list[place] : one) ?? one);

/** A list in the order of a number each entry has. */
export const inOrder = <T>(list: readonly T[], of: (one: T) => number): T[] =>
  [...list].sort((a, b) => of(a) - of(b));

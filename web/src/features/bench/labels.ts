/** A label as it is wanted: near a place, above it or below the drawing. */
export interface Wanted {
  id: string;
  text: string;
  /** Where what it is about stands. */
  x: number;
  below: boolean;
}

/** A label with its place: the middle of its text, and its line from the top. */
export interface Placed extends Wanted {
  at: number;
  row: number;
}

/** Figures are this wide for their height, letters no wider. */
const WIDE = 0.58;
const GAP = 8;

/** How wide a label is at a font size, never too narrow. */
export const widthOf = (text: string, font: number) => text.length * font * WIDE + 2;

/**
 * Labels in as few lines as can be, above and below the drawing, so that none touches another and
 * none leaves the page; what moves aside gets a line to its place.
 */
export function placed(wanted: readonly Wanted[], width: number, font: number): Placed[] {
  return [false, true].flatMap((below) => {
    const ends: number[] = [];
    return [...wanted]
      .filter((one) => one.below === below)
      .sort((a, b) => a.x - b.x)
      .map((one) => {
        const half = widthOf(one.text, font) / 2;
        const at = Math.max(half + 2, Math.min(width - half - 2, one.x));
        const free = ends.findIndex((end) => at - half >= end + GAP);
        const row = free < 0 ? ends.length : free;
        ends[row] = at + half;
        return { ...one, at, row };
      });
  });
}

export const rowsOf = (labels: readonly Placed[], below: boolean) =>
  Math.max(0, ...labels.filter((one) => one.below === below).map((one) => one.row + 1));

interface Tally {
  mm: number;
  plusLeftMm: number;
  minusLeftMm: number;
  lines: readonly { mm: number }[];
}

/** Where the bars of a tally are drawn: each begins where the one above it ended. */
export function tallyBars(tally: Tally) {
  const marks = tally.lines.reduce<number[]>(
    (sums, line) => [...sums, (sums.at(-1) ?? 0) + line.mm],
    [0],
  );
  const least = Math.min(...marks, tally.mm - tally.minusLeftMm);
  const most = Math.max(...marks, tally.mm + tally.plusLeftMm);
  const span = Math.max(most - least, 1);
  const x = (mm: number) => `${((mm - least) / span) * 100}%`;
  return {
    zero: x(0),
    lines: tally.lines.map((line, i) => ({
      from: x(Math.min(marks[i] ?? 0, marks[i + 1] ?? 0)),
      width: `${(Math.abs(line.mm) / span) * 100}%`,
    })),
  };
}

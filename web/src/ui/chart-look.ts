/** What the chart and what is laid over it have in common. */
export const LEFT = 44;
export const RIGHT = 12;
export const TOP = 12;
export const BOTTOM = 26;
export const DASHES = ["", "8 4", "2 4", "10 3 2 3", "14 6", "4 2"];
export const INKS = ["var(--ink)", "var(--brand)", "var(--minus)", "var(--plus)", "var(--soft)"];

/** One line of a chart. */
export interface Line {
  name: string;
  xs: number[];
  ys: number[];
  ink?: string;
  dash?: string;
  /** Drawn at every point, where points are what counts. */
  dot?: (index: number) => { fill: string; words: string };
}

/** A place on a chart. */
export interface At {
  x: number;
  y?: number;
}

export interface ChartProps {
  lines: Line[];
  /** What the chart says, for those who do not see it. */
  label: string;
  xLabel: string;
  yLabel: string;
  /** Stretches of x to be marked. */
  marks?: { from: number; to: number }[];
  /** Places where something broke off. */
  breaks?: number[];
  height?: number;
  /** Where something is now: a line down, or a dot. */
  at?: At | undefined;
  legend?: boolean;
}

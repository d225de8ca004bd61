/** What the chart and what is laid over it have in common. */
export const LEFT = 44;
export const RIGHT = 12;
export const TOP = 12;
export const BOTTOM = 26;
export const DASHES = ["", "8 4", "2 4", "10 3 2 3", "14 6", "4 2"];
export const INKS = ["var(--ink)", "var(--brand)", "var(--minus)", "var(--plus)", "var(--soft)"];

import type { Setup } from "@/api/queries";

/** What both views of the aircraft are drawn from. */
export interface View {
  width: number;
  /** The most the aircraft itself may take from top to bottom; none for all it needs. */
  tallest?: number;
  setup: Setup;
  travelMm: number[];
  degrees: number[];
  selected: string;
  onSelect: (id: string) => void;
}

/** Room for labels beyond the wing tips. */
export const SIDE_MARGIN = 26;

/** Direction by colour, always with an arrow or a word beside it. */
export const colour = (mm: number) =>
  Math.abs(mm) < 0.05 ? "var(--soft)" : mm > 0 ? "var(--plus)" : "var(--minus)";

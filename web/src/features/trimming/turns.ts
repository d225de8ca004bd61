import type { TestCard } from "@/api/fly";
import { say } from "@/words/generated/trimming";

export type Turn = TestCard["turns"][number];

/** Which way a test was flown, where it is flown both ways. */
export const TURNS: Record<Turn, string> = {
  BOTH: say("outcomePicker.didAsked"),
  LEFT: say("outcomePicker.left"),
  RIGHT: say("outcomePicker.right"),
};

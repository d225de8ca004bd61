import type { PlannedRod } from "@/api/queries";
import { directionWord, type Way } from "@/domain/words";
import { say } from "@/words/generated/adjustment";

/** Which way the end turns, seen from the surface, and which way rod and trailing edge go. */
export function turnWords(rod: PlannedRod, way: Way): string {
  const out = rod.steps > 0;
  const turns = rod.sixths !== 0;
  const goes = directionWord(way, rod.afterMm - rod.todayMm);
  return say("turnWords.pushrodGets", { turns, out, goes });
}

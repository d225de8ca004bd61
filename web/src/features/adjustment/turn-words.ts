import type { PlannedRod } from "@/api/queries";
import { directionWord, type Way } from "@/domain/words";

/** Which way the end turns, seen from the surface, and which way rod and trailing edge go. */
export function turnWords(rod: PlannedRod, way: Way): string {
  const out = rod.steps > 0;
  const turns = rod.sixths === 0 ? "" : out ? "counter-clockwise, " : "clockwise, ";
  const goes = directionWord(way, rod.afterMm - rod.todayMm);
  return `${turns}pushrod gets ${out ? "longer" : "shorter"}, trailing edge goes ${goes}`;
}

import type { Hall } from "@/api/school";
import { say } from "@/words/generated/school";

export type Lesson = Hall["lessons"][number]["lesson"];

export const LESSONS: Record<Lesson, readonly [name: string, learns: string]> = {
  SPORT: [say("lessons.sportModel"), say("lessons.sportLearns")],
  AEROBATIC: [say("lessons.aerobaticModel"), say("lessons.aerobaticLearns")],
  GLIDER: [say("lessons.thermalGlider"), say("lessons.gliderLearns")],
  WING: [say("lessons.flyingWing"), say("lessons.wingLearns")],
};

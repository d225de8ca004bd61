import type { Hall } from "@/api/school";

export type Lesson = Hall["lessons"][number]["lesson"];

export const LESSONS: Record<Lesson, readonly [name: string, learns: string]> = {
  SPORT: ["Sport model", "Weight across, side thrust, the mixes of the rudder."],
  AEROBATIC: ["Aerobatic model", "Thrust line, balance on its back, vertical lines, knife edge."],
  GLIDER: ["Thermal glider", "Balance from the dive, brakes, circling."],
  WING: ["Flying wing", "Weight across, balance, what elevons do together."],
};

import type { Hall } from "@/api/school";

export type Lesson = Hall["lessons"][number]["lesson"];

export const LESSONS: Record<Lesson, readonly [name: string, learns: string]> = {
  SPORT: ["Sport model", "Lateral balance, side thrust, rudder mixes."],
  AEROBATIC: ["Aerobatic model", "Thrust line, inverted flight, vertical lines, knife edge."],
  GLIDER: ["Thermal glider", "Balance from the dive, brakes, circling."],
  WING: ["Flying wing", "Lateral balance, balance point, elevons together."],
};

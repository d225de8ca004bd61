import { preference, usePreference } from "./preference";

/** What movements are typed in; millimetres are inches where the reader wants those. */
export type MovementUnit = "MILLIMETRES" | "DEGREES" | "PERCENT";

export const movementUnit = preference<MovementUnit>("movement-unit", [
  "MILLIMETRES",
  "DEGREES",
  "PERCENT",
]);

/** The unit of every field for a movement, and a way to choose it. */
export const useMovementUnit = () => usePreference(movementUnit);

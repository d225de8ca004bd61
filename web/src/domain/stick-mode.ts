import { preference } from "./preference";

/** The stick mode a new model begins with; an existing model keeps its transmitter's. */
export const stickMode = preference<"1" | "2" | "3" | "4">("stick-mode", ["2", "1", "3", "4"]);

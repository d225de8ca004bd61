import { signal } from "@/domain/signal";

/** Whether the last answer was that this device is not let in: it has to be before it can go on. */
export const shutOut = signal(false);
export const useShutOut = shutOut.use;

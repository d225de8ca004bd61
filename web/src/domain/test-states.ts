import { say } from "@/words/generated/domain";
import type { Schemas } from "./contract";

/** How a trim test stands, with the coach as in the school. */
export const TEST_STATES: Record<Schemas["TestStanding"]["state"], string> = {
  OPEN: say("testStates.OPEN"),
  STANDS: say("testStates.STANDS"),
  CHANGE: say("testStates.CHANGE"),
  VOID: say("testStates.VOID"),
  SKIPPED: say("testStates.SKIPPED"),
};

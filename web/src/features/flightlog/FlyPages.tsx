import { Subpages } from "@/ui/subpages";
import { say } from "@/words/generated/flightlog";

const PAGES = [
  ["", say("flyPages.flights")],
  ["coach", say("flyPages.trimFlights")],
  ["checks", say("flyPages.beforeTheFlight")],
  ["wishes", say("flyPages.purposeAndPilot")],
  ["card", say("flyPages.fieldCard")],
] as const;

/** The pages of flying, in the order in which a day at the field goes. */
export const FlyPages = () => <Subpages label={say("flyPages.fly")} pages={PAGES} />;

import { Subpages } from "@/ui/subpages";

const PAGES = [
  ["", "Flights"],
  ["coach", "Trim flights"],
  ["checks", "Before the flight"],
  ["wishes", "Purpose and pilot"],
  ["card", "Field card"],
] as const;

/** The pages of flying, in the order in which a day at the field goes. */
export const FlyPages = () => <Subpages label="Fly" pages={PAGES} />;

import { Subpages } from "@/ui/subpages";
import { say } from "@/words/generated/rig";

const PAGES = [
  ["", say("rigPages.linkages")],
  ["airframe", say("rigPages.airframe")],
  ["map", say("rigPages.channelMap")],
  ["set-up", say("rigPages.benchSetUp")],
  ["balance", say("rigPages.balance")],
  ["changes", say("rigPages.changes")],
] as const;

/** The pages of the rig, in the order in which a model is rigged. */
export const RigPages = () => <Subpages label={say("rigPages.rig")} pages={PAGES} />;

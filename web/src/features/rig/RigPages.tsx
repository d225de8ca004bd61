import { Subpages } from "@/ui/subpages";

const PAGES = [
  ["", "Linkages and throws"],
  ["airframe", "Airframe"],
  ["map", "Channel map"],
  ["set-up", "Bench set-up"],
  ["balance", "Balance"],
  ["changes", "Changed parts and sources"],
] as const;

/** The pages of the rig, in the order in which a model is rigged. */
export const RigPages = () => <Subpages label="Rig" pages={PAGES} />;

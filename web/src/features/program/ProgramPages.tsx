import { FlyThis } from "@/features/air/FlyThis";
import { Subpages } from "@/ui/subpages";

const PAGES = [
  ["feel", "Feel"],
  ["", "Surface by surface"],
  ["phases", "Flight phases"],
  ["mixes", "Mixes"],
  ["power", "Power and timers"],
  ["switches", "Switch plan"],
  ["hazards", "What every switch can do"],
  ["entry", "Entry sheet"],
  ["sheet", "Setup sheet"],
] as const;

/** The pages of the program, in the order in which a model is programmed. */
export const ProgramPages = () => <Subpages label="Program" pages={PAGES} aside={<FlyThis />} />;

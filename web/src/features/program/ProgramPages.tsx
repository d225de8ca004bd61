import { FlyThis } from "@/features/air/FlyThis";
import { useHasMotor } from "@/features/model/model";
import { Subpages } from "@/ui/subpages";

const PAGES = [
  ["feel", "Feel"],
  ["", "Surface by surface"],
  ["phases", "Flight phases"],
  ["mixes", "Mixes"],
  ["power", "Power and timers"],
  ["switches", "Switch plan"],
  ["hazards", "Switch check"],
  ["entry", "Entry sheet"],
  ["sheet", "Setup sheet"],
] as const;

/** The pages of the program, in the order in which a model is programmed. */
export function ProgramPages() {
  const pages = useHasMotor()
    ? PAGES
    : PAGES.map(([to, words]) => [to, to === "power" ? "Failsafe and timers" : words] as const);
  return <Subpages label="Program" pages={pages} aside={<FlyThis />} />;
}

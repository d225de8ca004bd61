import { TryInSimulator } from "@/features/simulator/TryInSimulator";
import { useHasMotor } from "@/features/model/model";
import { Subpages } from "@/ui/subpages";
import { say } from "@/words/generated/program";

const PAGES = [
  ["feel", say("programPages.feel")],
  ["", say("programPages.surfaceBySurface")],
  ["phases", say("programPages.flightPhases")],
  ["mixes", say("programPages.mixes")],
  ["power", say("programPages.powerAndTimers")],
  ["switches", say("programPages.switchPlan")],
  ["hazards", say("programPages.switchCheck")],
  ["entry", say("programPages.entrySheet")],
  ["sheet", say("programPages.setupSheet")],
] as const;

/** The pages of the program, in the order in which a model is programmed. */
export function ProgramPages() {
  const pages = useHasMotor()
    ? PAGES
    : PAGES.map(
        ([to, words]) =>
          [to, to === "power" ? say("programPages.failsafeAndTimers") : words] as const,
      );
  return <Subpages label={say("programPages.program")} pages={pages} aside={<TryInSimulator />} />;
}

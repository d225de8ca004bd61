import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { within } from "@/domain/words";
import { say } from "@/words/generated/glossary";

/** The terms of the glossary, each with its sentence. */
export const GLOSSARY = {
  aileronDifferential: [say("aileronDifferential.name"), say("aileronDifferential.means")],
  armed: [say("armed.name"), say("armed.means")],
  balancePoint: [say("balancePoint.name"), say("balancePoint.means")],
  bench: [say("bench.name"), say("bench.means")],
  benchSetUp: [say("benchSetUp.name"), say("benchSetUp.means")],
  channelMap: [say("channelMap.name"), say("channelMap.means")],
  clevis: [say("clevis.name"), say("clevis.means")],
  coach: [say("coach.name"), say("coach.means")],
  condition: [say("condition.name"), say("condition.means")],
  datum: [say("datum.name"), say("datum.means")],
  deadCentre: [say("deadCentre.name"), say("deadCentre.means")],
  endpoint: [say("endpoint.name"), say("endpoint.means")],
  entrySheet: [say("entrySheet.name"), say("entrySheet.means")],
  expo: [say("expo.name"), say("expo.means")],
  fade: [say("fade.name"), say("fade.means")],
  failsafe: [say("failsafe.name"), say("failsafe.means")],
  fieldCard: [say("fieldCard.name"), say("fieldCard.means")],
  finding: [say("finding.name"), say("finding.means")],
  flightPhase: [say("flightPhase.name"), say("flightPhase.means")],
  grounded: [say("grounded.name"), say("grounded.means")],
  hazard: [say("hazard.name"), say("hazard.means")],
  horn: [say("horn.name"), say("horn.means")],
  incidence: [say("incidence.name"), say("incidence.means")],
  keeper: [say("keeper.name"), say("keeper.means")],
  mix: [say("mix.name"), say("mix.means")],
  neutralPoint: [say("neutralPoint.name"), say("neutralPoint.means")],
  preset: [say("preset.name"), say("preset.means")],
  priority: [say("priority.name"), say("priority.means")],
  pushrod: [say("pushrod.name"), say("pushrod.means")],
  rate: [say("rate.name"), say("rate.means")],
  reflex: [say("reflex.name"), say("reflex.means")],
  revision: [say("revision.name"), say("revision.means")],
  rig: [say("rig.name"), say("rig.means")],
  settled: [say("settled.name"), say("settled.means")],
  slavePushrod: [say("slavePushrod.name"), say("slavePushrod.means")],
  startPoint: [say("startPoint.name"), say("startPoint.means")],
  subTrim: [say("subTrim.name"), say("subTrim.means")],
  tally: [say("tally.name"), say("tally.means")],
  throttleCut: [say("throttleCut.name"), say("throttleCut.means")],
  thrustLine: [say("thrustLine.name"), say("thrustLine.means")],
  trimTest: [say("trimTest.name"), say("trimTest.means")],
  workOrder: [say("workOrder.name"), say("workOrder.means")],
} as const satisfies Record<string, readonly [name: string, means: string]>;

export type TermName = keyof typeof GLOSSARY;

interface Props {
  term: TermName;
  /** What the page says here, where it is not the term's own name. */
  children?: ReactNode;
  /** What shows it, besides its sentence. */
  drawing?: ReactNode;
  onOpen?: (open: boolean) => void;
}

/** A term a newcomer may not know, with its sentence where it first stands on a page. */
export function Explained({ term, children, drawing, onOpen }: Props) {
  const [name] = GLOSSARY[term];
  return (
    <Popover.Root onOpenChange={(open) => onOpen?.(open)}>
      <Popover.Trigger className="min-h-[24px] min-w-[24px] underline decoration-dotted underline-offset-2">
        {children ?? within(name)}
      </Popover.Trigger>
      <Popover.Portal>
        <TermSentence term={term} drawing={drawing} />
      </Popover.Portal>
    </Popover.Root>
  );
}

/** The sentence of a term, in the popover around it. */
export function TermSentence({ term, drawing }: Pick<Props, "term" | "drawing">) {
  const [name, means] = GLOSSARY[term];
  return (
    <Popover.Content
      sideOffset={6}
      className="z-50 w-60 rounded-card border border-line-strong bg-sheet p-3 text-sm"
    >
      <p className="font-semibold">{name}</p>
      {drawing}
      <p>{means}</p>
    </Popover.Content>
  );
}

import { Link } from "react-router";
import type { HangarEntry } from "@/api/queries";
import { WaitingTag } from "@/ui/card";

type Loop = HangarEntry["loop"];

/** Where what waits is done. */
const PLACES: Record<Loop["next"], string> = {
  DESCRIBE: "rig",
  SETTLE_READING: "adjust",
  FINISH_ORDER: "adjust",
  MEND: "check",
  DO_AGAIN: "rig/changes",
  ANSWER_SIGN: "fly",
  FIND_SLIP: "fly",
  CORRECT: "adjust",
  MEASURE: "adjust",
  ADJUST: "adjust",
  LOOK: "fly",
  CONFIRM: "fly/new",
  FLY: "fly/new",
  REST: "fly",
};

/** What waits, in the model's one sentence, and the way to where it is done. */
export function NextLink({ model, loop }: { model: number; loop: Loop }) {
  return (
    <Link
      to={`/models/${model}/${PLACES[loop.next]}`}
      data-next={loop.next}
      className={loop.waits ? "" : "text-sm text-soft underline underline-offset-2"}
    >
      {loop.waits ? <WaitingTag>{loop.waiting}</WaitingTag> : loop.waiting}
    </Link>
  );
}

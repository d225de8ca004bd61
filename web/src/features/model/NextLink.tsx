import { Link } from "react-router";
import type { Clearance, HangarEntry } from "@/api/queries";
import { WaitingTag } from "@/ui/card";
import { LACKS } from "./Grounded";

type Loop = HangarEntry["loop"];

/** Where what waits is done. */
const PLACES: Record<Loop["next"], string> = {
  DESCRIBE: "rig",
  SETTLE_READING: "adjust",
  FINISH_ORDER: "adjust",
  MEND: "check",
  DO_AGAIN: "rig/changes",
  MAKE_READY: "check",
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

interface Props {
  model: number;
  loop: Loop;
  grounding: Clearance;
}

/** What waits, in the model's one sentence, and the way to where it is done. */
export function NextLink({ model, loop, grounding }: Props) {
  const first = grounding.missing[0];
  const place =
    loop.next === "MAKE_READY" && first !== undefined ? LACKS[first.lack][0] : PLACES[loop.next];
  return (
    <Link
      to={`/models/${model}/${place}`}
      data-next={loop.next}
      className={loop.waits ? "" : "text-sm text-soft underline underline-offset-2"}
    >
      {loop.waits ? <WaitingTag>{loop.waiting}</WaitingTag> : loop.waiting}
    </Link>
  );
}

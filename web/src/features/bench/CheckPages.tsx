import { CheckVerdict } from "@/features/model/Grounded";
import { useModel } from "@/features/model/model";
import { Subpages } from "@/ui/subpages";
import { say } from "@/words/generated/bench";

const PAGES = [
  ["", say("checkPages.bench")],
  ["scenes", say("checkPages.scenes")],
] as const;

/** Whether it may fly, the bench, and scenes played on it. */
export function CheckPages() {
  const { standing } = useModel();
  return (
    <>
      <CheckVerdict model={standing.id} grounding={standing.grounding} />
      <Subpages label={say("checkPages.check")} pages={PAGES} />
    </>
  );
}

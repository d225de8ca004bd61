import { CheckVerdict } from "@/features/model/Grounded";
import { useModel } from "@/features/model/model";
import { Subpages } from "@/ui/subpages";

const PAGES = [
  ["", "Bench"],
  ["scenes", "Scenes"],
] as const;

/** Whether it may fly, the bench, and scenes played on it. */
export function CheckPages() {
  const { standing } = useModel();
  return (
    <>
      <CheckVerdict model={standing.id} grounding={standing.grounding} />
      <Subpages label="Check" pages={PAGES} />
    </>
  );
}

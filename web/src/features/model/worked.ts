import type { Setup } from "@/api/queries";
import { useModel } from "./model";

/**
 * Takes what the program has worked out as one step of the draft, also when the page that asked has
 * been left meanwhile: nothing typed is lost by going on. What went wrong stays with who asked.
 */
export function useWorked(): (working: Promise<Setup>) => Promise<boolean> {
  const { draft, change } = useModel();
  const from = draft.present;
  return (working) =>
    working.then(
      (setup) => {
        change({ type: "replace", from, setup });
        return true;
      },
      () => false,
    );
}

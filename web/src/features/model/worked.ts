import type { Setup } from "@/api/queries";
import { useModel } from "./model";

/**
 * Takes what the program has worked out as one step of the draft, also when the page that asked has
 * been left meanwhile, or has asked for more: nothing pressed is lost by going on. Answers with it;
 * with nothing where it failed, which whoever asked says.
 */
export function useWorked(): (working: Promise<Setup>) => Promise<Setup | undefined> {
  const { draft, change } = useModel();
  const from = draft.present;
  return (working) =>
    working.then(
      (setup) => {
        change({ type: "replace", from, setup });
        return setup;
      },
      () => undefined,
    );
}

import { say } from "@/words/generated/ui";
/** Whose a field is, for whoever hears its name without seeing where it stands. */
export function Of({ whose }: { whose: string | undefined }) {
  return whose === undefined ? null : <span className="sr-only"> {say("of.of", { whose })}</span>;
}

import { Button } from "./button";
import { say } from "@/words/generated/ui";

interface Props {
  shown: number;
  total: number;
  /** Asks for the next part; undefined where all are there. */
  more: (() => void) | undefined;
  coming: boolean;
}

/** The end of a list that may be long: how many are shown, and a button for more. */
export function More({ shown, total, more, coming }: Props) {
  return more === undefined ? null : (
    <p className="flex items-center gap-3 pt-2 text-soft">
      <Button onClick={more} disabled={coming}>
        {coming ? say("more.loading") : say("more.showMore")}
      </Button>
      {say("more.of", { shown, total })}
    </p>
  );
}

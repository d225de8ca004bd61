import { Link } from "react-router";
import { buttonClass } from "@/ui/button";
import { Grounded } from "./Grounded";
import { useModel } from "./model";
import { say } from "@/words/generated/model";

interface Props {
  to: string;
  label: string;
  large?: boolean;
}

/**
 * The way to a flight's entry: offered as the next thing where the model is cleared; where it is
 * not, what is missing comes first, and a flight that was flown all the same can still be entered.
 */
export function LogLink({ to, label, large = false }: Props) {
  const { standing } = useModel();
  const clear = standing.grounding.verdict === "CLEAR";
  return (
    <>
      {!clear && (
        <div className="w-full text-left">
          <Grounded model={standing.id} grounding={standing.grounding} />
        </div>
      )}
      <Link to={to} className={buttonClass(clear ? "main" : "plain", large)}>
        {clear ? label : say("logLink.flownAnyway")}
      </Link>
    </>
  );
}

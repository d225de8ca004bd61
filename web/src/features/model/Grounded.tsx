import { Link } from "react-router";
import { Check, TriangleAlert } from "lucide-react";
import type { Grounding } from "@/api/queries";

/** Where what grounds a model is mended: a rule on the rig, a hazard among the hazards, a check again. */
const PLACES = { FINDING: "rig", HAZARD: "program/hazards", CHECK: "fly/checks" } as const;

interface Shown {
  model: number;
  grounding: Grounding;
  /** So many are listed; the others are told on the check page. */
  most?: number;
}

const FEW = 3;

/** What keeps a model on the ground, wherever it is shown; nothing where nothing does. */
export function Grounded({ model, grounding, most = FEW }: Shown) {
  const { reasons, proven } = grounding;
  if (reasons.length === 0 && proven) {
    return null;
  }
  return (
    <div
      role="note"
      aria-label="What grounds it"
      data-grounded={reasons.length}
      className="border-l-4 border-grounded bg-inset px-4 py-2 text-sm"
    >
      {reasons.length > 0 && (
        <>
          <p className="font-semibold text-grounded">Not to be flown before this is mended:</p>
          <ul className="list-disc pl-5">
            {reasons.slice(0, most).map((one) => (
              <li key={one.id + one.subject + one.words}>
                <Link
                  to={`/models/${model}/${PLACES[one.kind]}`}
                  className="underline underline-offset-2"
                >
                  {one.words}
                </Link>
              </li>
            ))}
            {reasons.length > most && (
              <li>
                <Link to={`/models/${model}/check`} className="underline underline-offset-2">
                  all {reasons.length} of them
                </Link>
              </li>
            )}
          </ul>
        </>
      )}
      {!proven && (
        <p>Not proven: there are more states than could be looked at, so there may be hazards.</p>
      )}
    </div>
  );
}

/** The verdict over a model as it was saved: green only where nothing grounds it. */
export function CheckVerdict({ model, grounding }: Shown) {
  const clear = grounding.reasons.length === 0 && grounding.proven;
  return clear ? (
    <p className="mb-3 flex items-center gap-2 text-sm" data-grounded={0}>
      <Check aria-hidden size={16} className="text-done" />
      <span>
        <strong className="text-done">Nothing found that grounds it.</strong> Rules and hazards, as
        last saved. The last word is yours, at the model.
      </span>
    </p>
  ) : (
    <div className="mb-3">
      <Grounded model={model} grounding={grounding} most={Infinity} />
    </div>
  );
}

/** A mark beside a name: grounded, not proven, or clear. */
export function GroundedMark({ grounding }: { grounding: Grounding }) {
  const clear = grounding.reasons.length === 0;
  if (clear && grounding.proven) {
    return <Check aria-label="nothing grounds it" size={14} className="text-done" />;
  }
  return (
    <TriangleAlert
      aria-label={clear ? "not proven" : "grounded"}
      size={14}
      className="text-grounded"
    />
  );
}

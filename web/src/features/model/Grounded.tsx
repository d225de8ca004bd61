import { Suspense, lazy } from "react";
import { Link } from "react-router";
import { Check, LoaderCircle, TriangleAlert } from "lucide-react";
import type { Clearance } from "@/api/queries";
import { Fold } from "@/ui/fold";
import { Objections } from "./Objections";
import { Say, say } from "@/words/generated/model";

/** The hangar loads this too: what opens a term is fetched where a model is looked at. */
const Explained = lazy(async () => ({ default: (await import("@/ui/explained")).Explained }));

/** Where what grounds a model is mended: a rule on the rig, a hazard among the hazards, a look again. */
const PLACES = {
  FINDING: "rig",
  HAZARD: "program/hazards",
  CHECK: "fly/checks",
  SET_UP: "rig/set-up",
} as const;

type Lack = Clearance["missing"][number]["lack"];

/** Where what is missing is done, and what the way there is called. */
export const LACKS: Record<Lack, readonly [string, string]> = {
  SEARCHING: ["program/hazards", say("grounded.showProgress")],
  NOT_PROVEN: ["program/hazards", say("grounded.seeHazards")],
  SEARCH_FAILED: ["program/hazards", say("grounded.searchAgain")],
  WAYS: ["rig/set-up", say("grounded.benchSetUp")],
  NOT_MEASURED: ["rig/set-up", say("grounded.benchSetUp")],
  BALANCE: ["fly/checks", say("grounded.fullCheck")],
  FULL_CHECK: ["fly/checks", say("grounded.fullCheck")],
  RANGE_CHECK: ["fly/checks", say("grounded.rangeCheck")],
  NOT_TYPED: ["program/entry", say("grounded.entrySheet")],
};

interface Shown {
  model: number;
  grounding: Clearance;
  /** So many are listed; the others are told on the check page. */
  most?: number;
}

const FEW = 3;

/** What keeps a model from being flown, wherever it is shown; nothing where nothing does. */
export function Grounded({ model, grounding, most = FEW }: Shown) {
  const { reasons, verdict } = grounding;
  if (verdict === "CLEAR" && grounding.because === "") {
    return null;
  }
  return (
    <div
      role="note"
      aria-label={verdict === "GROUNDED" ? say("grounded.why") : say("grounded.notClearedTitle")}
      data-grounded={reasons.length}
      data-verdict={verdict}
      className={`border-l-4 bg-inset px-4 py-2 text-sm ${verdict === "GROUNDED" ? "border-grounded" : "border-tag"}`}
    >
      {reasons.length > 0 && (
        <>
          <p className="font-semibold text-grounded">
            <Say
              id="grounded.termGrounded"
              values={{
                term: (words) => (
                  <Suspense fallback={words}>
                    <Explained term="grounded">{words}</Explained>
                  </Suspense>
                ),
              }}
            />
          </p>
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
                  {say("grounded.allReasons", { reasons: reasons.length })}
                </Link>
              </li>
            )}
          </ul>
        </>
      )}
      <StillMissing model={model} grounding={grounding} most={most} />
    </div>
  );
}

/** What is not known yet, each with the way to where it is done. */
function StillMissing({ model, grounding, most = FEW }: Shown) {
  const { missing, verdict, because } = grounding;
  if (missing.length === 0) {
    return null;
  }
  const searching = missing.some((one) => one.lack === "SEARCHING");
  return (
    <>
      {verdict !== "GROUNDED" && (
        <p className="font-semibold">
          {because === "" ? say("grounded.before") : say("grounded.flownAnyway", { because })}
        </p>
      )}
      {verdict === "GROUNDED" && <p className="mt-1 font-semibold">{say("grounded.andBefore")}</p>}
      <ol className="list-decimal pl-5">
        {missing.slice(0, most).map((one) => (
          <li key={one.lack}>
            {one.words}{" "}
            <Link
              to={`/models/${model}/${LACKS[one.lack][0]}`}
              className="underline underline-offset-2"
            >
              {LACKS[one.lack][1]}
            </Link>
          </li>
        ))}
        {missing.length > most && (
          <li>{say("grounded.more", { slice: missing.slice(most).length })}</li>
        )}
      </ol>
      {searching && (
        <progress
          aria-label={say("grounded.switchesChecked")}
          className="h-2 w-full"
          value={grounding.searched}
          max={1}
        />
      )}
      {verdict !== "GROUNDED" && !searching && most === Infinity && (
        <Objections model={model} because={because} />
      )}
    </>
  );
}

/** The verdict over a model as it was saved: green only where all was looked at and nothing found. */
export function CheckVerdict({ model, grounding }: Shown) {
  return grounding.verdict === "CLEAR" && grounding.because === "" ? (
    <p className="mb-3 flex items-center gap-2 text-sm" data-grounded={0} data-verdict="CLEAR">
      <Check aria-hidden size={16} className="text-done" />
      <span>
        <Say
          id="grounded.clearedWords"
          values={{ b: (words) => <strong className="text-done">{words}</strong> }}
        />
      </span>
    </p>
  ) : (
    <div className="mb-3">
      {grounding.reasons.length === 0 &&
      grounding.missing.every((one) => one.lack !== "SEARCHING") ? (
        <Fold
          title={
            <span className="text-sm">
              {say("grounded.because", {
                because: grounding.because === "",
                missing: grounding.missing.length,
              })}
            </span>
          }
        >
          <Grounded model={model} grounding={grounding} most={Infinity} />
        </Fold>
      ) : (
        <Grounded model={model} grounding={grounding} most={Infinity} />
      )}
    </div>
  );
}

const MARKS = {
  CLEAR: say("grounded.cleared"),
  NOT_YET: say("grounded.notCleared"),
  GROUNDED: say("grounded.grounded"),
} as const;

/** A mark beside a name: grounded, not cleared yet, or clear. */
export function GroundedMark({ grounding }: { grounding: Clearance }) {
  const label = MARKS[grounding.verdict];
  if (grounding.verdict === "CLEAR") {
    return <Check aria-label={label} size={14} className="text-done" />;
  }
  if (
    grounding.missing.some((one) => one.lack === "SEARCHING") &&
    grounding.verdict === "NOT_YET"
  ) {
    return (
      <LoaderCircle aria-label={say("grounded.beingChecked")} size={14} className="text-soft" />
    );
  }
  return (
    <TriangleAlert
      aria-label={label}
      size={14}
      className={grounding.verdict === "GROUNDED" ? "text-grounded" : "text-tag"}
    />
  );
}

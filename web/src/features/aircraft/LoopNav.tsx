import { NavLink } from "react-router";
import { GroundedMark } from "@/features/model/Grounded";
import { NextLink } from "@/features/model/NextLink";
import { useModel } from "@/features/model/model";
import { say } from "@/words/generated/aircraft";

const STAGES = [
  { stage: "RIG", to: "rig", label: say("loopNav.rig") },
  { stage: "PROGRAM", to: "program", label: say("loopNav.program") },
  { stage: "CHECK", to: "check", label: say("loopNav.check") },
  { stage: "FLY", to: "fly", label: say("loopNav.fly") },
  { stage: "ADJUST", to: "adjust", label: say("loopNav.adjust") },
] as const;

/** The loop is the navigation: five places, the one the model stands at marked, what waits beside. */
export function LoopNav() {
  const { standing, draft } = useModel();
  const { loop } = standing;
  return (
    <div className="no-print border-b border-line bg-sheet">
      <div className="mx-auto flex max-w-[1400px] flex-wrap items-center gap-x-5 gap-y-1 px-4 py-1.5">
        <h1 className="text-lg">
          {draft.present.name}{" "}
          <NavLink
            to="revisions"
            className="text-sm font-normal text-soft underline underline-offset-2"
          >
            {say("loopNav.revision", { number: standing.newest.number })}
          </NavLink>
        </h1>
        <nav
          aria-label={say("loopNav.theLoop")}
          className="order-last w-full overflow-x-auto sm:order-none sm:w-auto"
        >
          <ol className="flex items-center">
            {STAGES.map(({ stage, to, label }, i) => (
              <li key={stage} className="flex items-center">
                {i > 0 && <span aria-hidden className="h-px w-3 bg-line-strong sm:w-6" />}
                <NavLink
                  to={to}
                  className={({ isActive }) =>
                    `flex min-h-9 items-center gap-1.5 rounded-full border px-3 py-1 font-medium ${isActive ? "border-brand bg-brand text-on-brand" : "border-line-strong hover:bg-inset"}`
                  }
                >
                  {loop.stage === stage && (
                    <span
                      className={`size-3 rounded-full border-2 border-current ${loop.waits ? "bg-tag" : "bg-done"}`}
                    >
                      <span className="sr-only">{say("loopNav.nextStage")} </span>
                    </span>
                  )}
                  {label}
                </NavLink>
                {stage === "CHECK" && (
                  <span className="ml-1">
                    <GroundedMark grounding={standing.grounding} />
                  </span>
                )}
              </li>
            ))}
          </ol>
        </nav>
        <NextLink model={standing.id} loop={loop} grounding={standing.grounding} />
      </div>
    </div>
  );
}

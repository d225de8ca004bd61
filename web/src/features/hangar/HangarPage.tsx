import { useState } from "react";
import { Link } from "react-router";
import { useHangar, type HangarEntry } from "@/api/queries";
import { buttonClass } from "@/ui/button";
import { Empty } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { More } from "@/ui/more";
import { TextLine } from "@/ui/text-line";
import { Grounded } from "@/features/model/Grounded";
import { NextLink } from "@/features/model/NextLink";
import { PutAwayList } from "./PutAwayList";
import { Silhouette } from "./Silhouette";

const STAGES = ["RIG", "PROGRAM", "CHECK", "FLY", "ADJUST"] as const;
const NAMES = ["Rig", "Program", "Check", "Fly", "Adjust"] as const;

/** From so many models on a name is searched for. */
const MANY = 6;

/** All models, each with where it stands on the loop and what waits. */
export function HangarPage() {
  const [named, setNamed] = useState("");
  const hangar = useHangar(named.trim());
  const models = hangar.items;
  if (models === undefined) {
    return hangar.isError ? <Failure error={hangar.error} /> : <Waiting what="the hangar" />;
  }
  return (
    <div className="mx-auto max-w-[1200px] p-4 sm:p-6">
      <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="mb-1 text-2xl">Hangar</h1>
          <p className="text-sm text-soft">
            Every model goes through the same stages: rig, program, check, fly, adjust, and again.
          </p>
        </div>
        {(hangar.total >= MANY || named !== "") && (
          <TextLine
            label="Find a model"
            type="search"
            value={named}
            onValue={setNamed}
            width="w-60"
          />
        )}
      </div>
      {models.length === 0 && named === "" && (
        <Empty title="No model yet">
          <p>Start from a kind of airframe, or import a setup file.</p>
          <Link to="/new" className={buttonClass("main")}>
            New model
          </Link>{" "}
          <Link to="/bring-in" className={buttonClass("plain")}>
            Import a file
          </Link>
        </Empty>
      )}
      {models.length === 0 && named !== "" && <p>No model name contains “{named}”.</p>}
      <ul className="grid gap-3 lg:grid-cols-2">
        {models.map((one) => (
          <li key={one.id} className="drawn-in-view">
            <ModelCard one={one} />
          </li>
        ))}
      </ul>
      <More shown={models.length} total={hangar.total} more={hangar.more} coming={hangar.coming} />
      <PutAwayList />
    </div>
  );
}

function ModelCard({ one }: { one: HangarEntry }) {
  const { loop } = one;
  const at = STAGES.indexOf(loop.stage as (typeof STAGES)[number]);
  return (
    <article className="grid h-full overflow-hidden rounded-card border border-line bg-sheet sm:grid-cols-[150px_minmax(0,1fr)]">
      <div className="mm-paper grid place-items-center border-b border-line p-2 sm:border-r sm:border-b-0 [&_svg]:max-h-32">
        <Silhouette setup={one} />
      </div>
      <div className="flex min-w-0 flex-col gap-1.5 px-4 py-3">
        <div className="flex flex-wrap items-baseline gap-x-3">
          <h2 className="text-lg">
            <Link to={`/models/${one.id}/rig`} className="underline-offset-4 hover:underline">
              {one.name}
            </Link>
          </h2>
          <span className="truncate text-sm text-soft">{one.airframe.kind}</span>
        </div>
        <ol className="flex flex-wrap items-center" aria-label={`On the loop: ${NAMES[at]}`}>
          {NAMES.map((name, i) => (
            <li
              key={name}
              className="flex items-center text-xs"
              aria-current={i === at ? "step" : undefined}
            >
              {i > 0 && <span aria-hidden className="h-px w-2.5 bg-line-strong" />}
              <span
                className={`rounded-full border px-2 ${i === at ? "border-ink bg-ink font-semibold text-sheet" : "border-line-strong text-soft"}`}
              >
                {name}
              </span>
            </li>
          ))}
        </ol>
        <div>
          <NextLink model={one.id} loop={loop} grounding={one.grounding} />
        </div>
        <Grounded model={one.id} grounding={one.grounding} most={1} />
        <p className="line-clamp-1 text-xs text-soft">
          Revision {one.revision}: {one.reason}. {one.flightCount}{" "}
          {one.flightCount === 1 ? "flight" : "flights"} logged.
        </p>
        <div className="mt-auto flex flex-wrap gap-2">
          {loop.next === "ADJUST" && (
            <Link
              to={`/models/${one.id}/adjust`}
              className={`${buttonClass("main")} !min-h-8 text-sm`}
            >
              Move the trims into the linkages
            </Link>
          )}
          <Link
            to={`/models/${one.id}/check`}
            className={`${buttonClass("plain")} !min-h-8 text-sm`}
          >
            Bench
          </Link>
          {one.grounding.verdict === "CLEAR" && (
            <Link
              to={`/models/${one.id}/fly/new`}
              className={`${buttonClass("plain")} !min-h-8 text-sm`}
            >
              Log a flight
            </Link>
          )}
        </div>
      </div>
    </article>
  );
}

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
import { UnreadableCard } from "./UnreadableCard";
import { say } from "@/words/generated/hangar";

const STAGES = ["RIG", "PROGRAM", "CHECK", "FLY", "ADJUST"] as const;
const NAMES = [
  say("hangarPage.rig"),
  say("hangarPage.program"),
  say("hangarPage.check"),
  say("hangarPage.fly"),
  say("hangarPage.adjust"),
] as const;

/** From so many models on a name is searched for. */
const MANY = 6;

/** All models, each with where it stands on the loop and what waits. */
export function HangarPage() {
  const [named, setNamed] = useState("");
  const hangar = useHangar(named.trim());
  const models = hangar.items;
  if (models === undefined) {
    return hangar.isError ? (
      <Failure error={hangar.error} />
    ) : (
      <Waiting what={say("hangarPage.theHangar")} />
    );
  }
  const { unreadable } = hangar;
  const shown = [...unreadable, ...models].length;
  return (
    <div className="mx-auto max-w-[1200px] p-4 sm:p-6">
      <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="mb-1 text-2xl">{say("hangarPage.hangar")}</h1>
          <p className="text-sm text-soft">{say("hangarPage.stages")}</p>
        </div>
        {(hangar.total >= MANY || named !== "") && (
          <TextLine
            label={say("hangarPage.find")}
            type="search"
            value={named}
            onValue={setNamed}
            width="w-60"
          />
        )}
      </div>
      {hangar.total === 0 && named === "" && (
        <Empty title={say("hangarPage.empty")}>
          <p>{say("hangarPage.emptyHint")}</p>
          <Link to="/new" className={buttonClass("main")}>
            {say("hangarPage.newModel")}
          </Link>{" "}
          <Link to="/bring-in" className={buttonClass("plain")}>
            {say("hangarPage.import")}
          </Link>
        </Empty>
      )}
      {hangar.total === 0 && named !== "" && <p>{say("hangarPage.noneNamed", { named })}</p>}
      <ul className="grid gap-3 lg:grid-cols-2">
        {unreadable.map((one) => (
          <li key={one.id}>
            <UnreadableCard model={one} />
          </li>
        ))}
        {models.map((one) => (
          <li key={one.id} className="drawn-in-view">
            <ModelCard one={one} />
          </li>
        ))}
      </ul>
      <More shown={shown} total={hangar.total} more={hangar.more} coming={hangar.coming} />
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
        <ol
          className="flex flex-wrap items-center"
          aria-label={say("hangarPage.onLoop", { names: NAMES[at] })}
        >
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
          {say("hangarPage.revision", {
            revision: one.revision,
            reason: one.reason,
            flightCount: one.flightCount,
          })}
        </p>
        <div className="mt-auto flex flex-wrap gap-2">
          {loop.next === "ADJUST" && (
            <Link
              to={`/models/${one.id}/adjust`}
              className={`${buttonClass("main")} !min-h-8 text-sm`}
            >
              {say("hangarPage.moveTrims")}
            </Link>
          )}
          <Link
            to={`/models/${one.id}/check`}
            className={`${buttonClass("plain")} !min-h-8 text-sm`}
          >
            {say("hangarPage.bench")}
          </Link>
          {one.grounding.verdict === "CLEAR" && (
            <Link
              to={`/models/${one.id}/fly/new`}
              className={`${buttonClass("plain")} !min-h-8 text-sm`}
            >
              {say("hangarPage.logAFlight")}
            </Link>
          )}
        </div>
      </div>
    </article>
  );
}

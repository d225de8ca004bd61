import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { useBeginCheck, useBegunHere, useChecks, type CheckOutline } from "@/api/checks";
import { useFlights } from "@/api/queries";
import { capital, day, timeOfDay } from "@/domain/words";
import { Grounded } from "@/features/model/Grounded";
import { useModel } from "@/features/model/model";
import { Button, buttonClass } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Fold } from "@/ui/fold";
import { Failure, Waiting } from "@/ui/message";
import { LinkPractice } from "./LinkPractice";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/preflight";

const KINDS = {
  FLIGHT: [capital(told("CheckKind", "FLIGHT")), say("checksPage.everyFlight")],
  FULL: [capital(told("CheckKind", "FULL")), say("checksPage.afterChanges")],
  RANGE: [capital(told("CheckKind", "RANGE")), say("checksPage.afterRepair")],
  PUPIL: [capital(told("CheckKind", "PUPIL")), say("checksPage.withHelper")],
} as const;

/** Checks of a model: what is due, one to begin or resume, those that were done. */
export function ChecksPage() {
  const { standing, draft } = useModel();
  const checks = useChecks(standing.id);
  const flights = useFlights(standing.id);
  const begin = useBeginCheck(standing.id);
  const navigate = useNavigate();
  const here = useBegunHere(standing.id);
  const packs = draft.present.balance.packs;
  const [picked, setPicked] = useState<string>();
  if (checks.data === undefined) {
    return checks.isError ? (
      <Failure error={checks.error} />
    ) : (
      <Waiting what={say("checksPage.theChecks")} />
    );
  }
  const { runs, due } = checks.data;
  const open = runs.find((one) => one.state === "OPEN");
  const last = flights.items?.[0]?.report.battery ?? "";
  const usual = packs.some((one) => one.name === last) ? last : (packs[0]?.name ?? "");
  const pack = picked ?? usual;
  const start = (kind: CheckOutline["kind"]) =>
    begin.mutate({ kind, pack }, { onSuccess: (name) => void navigate(name) });
  return (
    <div className="mx-auto max-w-2xl space-y-3 pt-3">
      <Grounded model={standing.id} grounding={standing.grounding} />
      {here.map((one) => (
        <Card
          key={one.name}
          title={one.ended ? say("checksPage.finishedOffline") : say("checksPage.begunOffline")}
          className="border-l-4 border-l-tag"
        >
          <p className="mb-2">
            {say("checksPage.keptOffline", {
              kind: KINDS[one.begun.kind][0],
              pack: one.begun.pack !== "" && `, ${one.begun.pack}`,
              timeOfDay: timeOfDay(new Date(one.at)),
            })}
          </p>
          <Link to={one.name} className={buttonClass("main", true)}>
            {one.ended ? say("checksPage.showIt") : say("checksPage.continue")}
          </Link>
        </Card>
      ))}
      {open !== undefined && (
        <Card title={say("checksPage.notFinishedTitle")} className="border-l-4 border-l-tag">
          <p className="mb-2">
            {say("checksPage.ofSteps", {
              kind: KINDS[open.kind][0],
              answers: open.answered,
              steps: open.steps,
            })}
          </p>
          <Link to={String(open.id)} className={buttonClass("main", true)}>
            {say("checksPage.continue")}
          </Link>
        </Card>
      )}
      {due.length > 0 && (
        <Card title={say("checksPage.due")}>
          <ul className="list-disc pl-5">
            {due.map((one) => (
              <li key={one.kind}>{one.why}</li>
            ))}
          </ul>
        </Card>
      )}
      <Card title={say("checksPage.begin")}>
        {packs.length > 0 && (
          <Choice
            label={say("checksPage.pack")}
            value={pack}
            onValue={setPicked}
            options={packs.map((one) => [one.name, one.name] as const)}
          />
        )}
        <ul className="mt-3 space-y-2">
          {(Object.keys(KINDS) as CheckOutline["kind"][]).map((kind) => (
            <li key={kind}>
              <Button
                look={kind === "FLIGHT" ? "main" : "plain"}
                large
                className="w-full flex-col !items-start gap-0! py-2 text-left"
                disabled={begin.isPending}
                data-begin={kind}
                onClick={() => start(kind)}
              >
                <span>{KINDS[kind][0]}</span>
                <span className="text-sm font-normal opacity-80">{KINDS[kind][1]}</span>
              </Button>
            </li>
          ))}
        </ul>
        {begin.isError && <Failure error={begin.error} />}
      </Card>
      <Caution>{say("checksPage.limits")}</Caution>
      {runs.length > 0 && <SoFar runs={runs} />}
      <Card title={say("checksPage.practise")}>
        <Fold title={say("checksPage.simulated")}>
          <LinkPractice />
        </Fold>
      </Card>
    </div>
  );
}

/** The checks that were done, newest first. */
function SoFar({ runs }: { runs: CheckOutline[] }) {
  return (
    <Card title={say("checksPage.soFar")}>
      <ul className="divide-y divide-line">
        {runs.map((run) => (
          <li key={run.id} className="flex flex-wrap justify-between gap-x-3 py-1.5">
            <Link to={String(run.id)} className="underline underline-offset-2">
              {KINDS[run.kind][0]}
            </Link>
            <span className="text-sm text-soft">
              {say("checksPage.revision", {
                day: day(run.createdAt.slice(0, 10)),
                revisionNumber: run.revisionNumber,
                pack: run.pack !== "" && `, ${run.pack}`,
                state: run.state,
              })}
              {run.faulty && (
                <strong className="text-grounded"> {say("checksPage.notPassed")}</strong>
              )}
            </span>
          </li>
        ))}
      </ul>
    </Card>
  );
}

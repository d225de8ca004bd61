import { capital } from "@/domain/words";
import { told } from "@/words/generated/enums";
import { Link } from "react-router";
import {
  useBeginJob,
  useCloseJob,
  useMoveLever,
  type CoachSheet,
  type CoachStanding,
} from "@/api/fly";
import { useHasMotor, useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Fold } from "@/ui/fold";
import { Failure } from "@/ui/message";
import { Say, say } from "@/words/generated/trimming";

/** The one change a test asks for: what, why, how much it is, and what makes it. */
export function AdviceCard({ of, sheet }: { of: CoachStanding; sheet: CoachSheet }) {
  const { advice } = of;
  if (advice === undefined || advice === null) {
    return null;
  }
  return (
    <Card title={say("adviceCard.title")} className="border-l-4 border-l-tag">
      <p className="text-lg font-semibold" data-advice={advice.lever ?? "NAMED"}>
        {advice.words}
      </p>
      <ul className="figures my-2 list-disc pl-5">
        {advice.sizes.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <p className="text-sm text-soft">{advice.why}</p>
      <p className="mt-2 text-sm">
        <strong>{say("adviceCard.nextFlight")}</strong> {advice.watch}
      </p>
      {advice.schools.length > 0 && (
        <div className="mt-2">
          <Fold title={say("adviceCard.differing")}>
            {advice.schools.map((one) => (
              <p key={one} className="text-sm">
                {one}
              </p>
            ))}
          </Fold>
        </div>
      )}
      {advice.making !== "NOTHING" && (
        <div className="mt-3">
          {advice.making === "BENCH" ? <AtModel of={of} sheet={sheet} /> : <InProgram of={of} />}
        </div>
      )}
    </Card>
  );
}

/** Made in the draft, to be saved and typed into the transmitter like any other change. */
function InProgram({ of }: { of: CoachStanding }) {
  const { draft } = useModel();
  const worked = useWorked();
  const move = useMoveLever();
  const advice = of.advice;
  if (advice?.lever === undefined || advice.lever === null) {
    return null;
  }
  const { lever, to } = advice;
  const apply = () =>
    void worked(move.mutateAsync({ setup: draft.present, lever, test: of.test, value: to }));
  return (
    <>
      <Button
        look="main"
        large
        className="w-full sm:w-auto"
        disabled={move.isPending}
        onClick={apply}
      >
        {say("adviceCard.putDraft")}
      </Button>
      <p className="mt-1 text-sm text-soft">
        <Say
          id="adviceCard.thenSave"
          values={{
            link: (words) => (
              <Link
                to="../../program/entry"
                relative="path"
                className="underline underline-offset-2"
              >
                {words}
              </Link>
            ),
          }}
        />
      </p>
      {move.isError && <Failure error={move.error} />}
    </>
  );
}

/** A job for the bench, entered as done. */
function AtModel({ of, sheet }: { of: CoachStanding; sheet: CoachSheet }) {
  const { standing } = useModel();
  const begin = useBeginJob(standing.id);
  return (
    <>
      <Button
        look="main"
        large
        className="w-full sm:w-auto"
        disabled={begin.isPending || (sheet.job !== undefined && sheet.job !== null)}
        onClick={() => begin.mutate(of.test)}
      >
        {say("adviceCard.doBench")}
      </Button>
      {begin.isError && <Failure error={begin.error} />}
    </>
  );
}

/** The change at the model that is open, to be entered as done or given up. */
export function OpenJob({ sheet }: { sheet: CoachSheet }) {
  const { standing, draft } = useModel();
  const close = useCloseJob(standing.id);
  const motor = useHasMotor();
  const { job } = sheet;
  if (job === undefined || job === null) {
    return null;
  }
  const advice = sheet.plan.tests.find(
    (one) => one.test.test === job.test.test && one.test.part === job.test.part,
  )?.advice;
  const send = (done: boolean, by: "AS_ADVISED" | "PACK" | "BALLAST") =>
    close.mutate({ jobId: job.id, body: { version: job.version, done, by } });
  const packs = draft.present.balance.packs.length > 0;
  return (
    <Card
      title={say("adviceCard.onBench")}
      className="border-l-4 border-l-tag"
      label={say("adviceCard.onBench")}
    >
      <p className="text-lg font-semibold">
        {advice?.words ?? capital(told("TrimLever", job.lever))}
      </p>
      <ul className="figures my-2 list-disc pl-5">
        {advice?.sizes.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <p className="mb-3 text-sm text-soft">{say("adviceCard.motor", { motor })}</p>
      <div className="flex flex-wrap gap-2">
        {job.lever === "BALANCE" && packs ? (
          <>
            <Button look="main" large disabled={close.isPending} onClick={() => send(true, "PACK")}>
              {say("adviceCard.packMoved")}
            </Button>
            <Button large disabled={close.isPending} onClick={() => send(true, "BALLAST")}>
              {say("adviceCard.doneBallast")}
            </Button>
          </>
        ) : (
          <Button
            look="main"
            large
            disabled={close.isPending}
            onClick={() => send(true, job.lever === "BALANCE" ? "BALLAST" : "AS_ADVISED")}
          >
            {say("adviceCard.done")}
          </Button>
        )}
        <Button look="quiet" disabled={close.isPending} onClick={() => send(false, "AS_ADVISED")}>
          {say("adviceCard.cancel")}
        </Button>
      </div>
      {close.isError && <Failure error={close.error} />}
    </Card>
  );
}

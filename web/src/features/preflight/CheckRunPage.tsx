import { useState } from "react";
import { Link, Navigate, useNavigate, useParams } from "react-router";
import {
  hasNumber,
  useAnswerStep,
  useCheckRun,
  useEndCheck,
  useWaits,
  type CheckAnswer,
  type CheckName,
  type CheckRun,
  type CheckStep,
} from "@/api/checks";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { useFocusOn } from "@/ui/focus";
import { Failure, Waiting } from "@/ui/message";
import { PartDone } from "@/ui/part-done";
import { TextLine } from "@/ui/text-line";
import { Counts, held, NO_COUNTS } from "./Counts";
import { say } from "@/words/generated/preflight";

/** One check, a large step at a time; what was answered is kept as it is answered. */
export function CheckRunPage() {
  const { standing } = useModel();
  const name = useParams().runId ?? "0";
  const run = useCheckRun(standing.id, name);
  const waits = useWaits(name);
  if (run.data === undefined) {
    if (!hasNumber(name)) {
      return <NotHere />;
    }
    return run.isError ? (
      <Failure error={run.error} />
    ) : (
      <Waiting what={say("checkRunPage.theCheck")} />
    );
  }
  if (!hasNumber(name) && run.data.id > 0 && !waits) {
    return <Navigate to={`../${run.data.id}`} relative="path" replace />;
  }
  return <Run run={run.data} name={name} />;
}

/** Begun offline, and the page was loaded anew since. */
function NotHere() {
  return (
    <Card title={say("checkRunPage.begunOffline")}>
      <p>{say("checkRunPage.reloadedOffline")}</p>
      <Link to=".." relative="path" className="underline underline-offset-2">
        {say("checkRunPage.allChecks")}
      </Link>
    </Card>
  );
}

interface RunProps {
  run: CheckRun;
  name: CheckName;
}

function Run({ run, name }: RunProps) {
  const [at, setAt] = useState<number>();
  const over = run.state !== "OPEN";
  const index = at ?? run.judged.next;
  const step = run.steps[index];
  if (over || step === undefined) {
    return <Summary run={run} name={name} back={(to) => setAt(to)} />;
  }
  return (
    <Step key={step.id} run={run} name={name} index={index} step={step} go={(to) => setAt(to)} />
  );
}

interface StepProps extends RunProps {
  index: number;
  step: CheckStep;
  /** To another step; to none for the next one without an answer. */
  go: (to: number | undefined) => void;
}

function Step({ run, name, index, step, go }: StepProps) {
  const { standing } = useModel();
  const send = useAnswerStep(standing.id, name);
  const heading = useFocusOn<HTMLHeadingElement>(index);
  const known = run.answers.find((one) => one.step === step.id);
  const [note, setNote] = useState(known?.note ?? "");
  const [counts, setCounts] = useState(known ?? NO_COUNTS);
  const [wrong, setWrong] = useState(false);
  const answer = (verdict: CheckAnswer["verdict"]) =>
    send.mutate(
      {
        step: step.id,
        verdict,
        note,
        fadesFirst: counts.fadesFirst,
        fadesSecond: counts.fadesSecond,
        lostFrames: counts.lostFrames,
        holds: counts.holds,
      },
      { onSuccess: () => go(undefined) },
    );
  return (
    <div className="mx-auto max-w-2xl pt-3">
      <div className="mb-2 flex items-center gap-3">
        <PartDone label={say("checkRunPage.check")} hidden done={index} of={run.steps.length} />
        <span className="figures shrink-0 text-soft">
          {say("checkRunPage.of", { index: index + 1, steps: run.steps.length })}
        </span>
      </div>
      <Card className="min-h-[20rem]">
        <h2
          ref={heading}
          tabIndex={-1}
          className="mb-3 text-3xl leading-tight"
          data-check-step={step.id}
        >
          {step.title}
        </h2>
        <p className="text-xl leading-snug">{step.words}</p>
        <ul className="figures my-4 list-disc space-y-1 pl-6 text-xl">
          {step.lines.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
        {step.counted && <Counts value={counts} onValue={setCounts} />}
        {step.caution !== "" && (
          <div className="mt-4">
            <Caution>{step.caution}</Caution>
          </div>
        )}
      </Card>
      {wrong && (
        <div className="mt-3">
          <TextLine
            label={say("checkRunPage.whyAsked")}
            value={note}
            onValue={setNote}
            maxLength={300}
          />
          <div className="mt-2 grid grid-cols-2 gap-2">
            <Button look="warn" large disabled={send.isPending} onClick={() => answer("WRONG")}>
              {say("checkRunPage.foundWrong")}
            </Button>
            <Button
              large
              disabled={send.isPending || note.trim() === ""}
              onClick={() => answer("LEFT_OUT")}
            >
              {say("checkRunPage.leaveOut")}
            </Button>
          </div>
        </div>
      )}
      {send.isError && <Failure error={send.error} />}
      <div className="mt-3 grid grid-cols-[auto_1fr_2fr] gap-2">
        <Button
          large
          disabled={index === 0}
          onClick={() => go(index - 1)}
          aria-label={say("checkRunPage.back")}
        >
          {say("checkRunPage.back")}
        </Button>
        <Button large aria-expanded={wrong} onClick={() => setWrong(!wrong)}>
          {say("checkRunPage.wrong")}
        </Button>
        <Button look="main" large disabled={send.isPending} onClick={() => answer("RIGHT")}>
          {held(counts) && step.counted
            ? say("checkRunPage.noteIt")
            : say("checkRunPage.asItShouldBe")}
        </Button>
      </div>
      <p className="mt-2 text-sm text-soft">{say("checkRunPage.keptAtOnce")}</p>
    </div>
  );
}

/** What was answered out of reach, as it was answered: whether it grounds the model is not said here. */
function Unjudged({ run }: { run: CheckRun }) {
  return (
    <div data-unjudged>
      <p>{say("checkRunPage.offline")}</p>
      <ul className="list-disc pl-5">
        {run.answers
          .filter((one) => one.verdict !== "RIGHT" || held(one))
          .map((one) => (
            <li key={one.step}>
              {run.steps.find((step) => step.id === one.step)?.title}: {VERDICTS[one.verdict]}
              {one.note !== "" && `, ${one.note}`}
              {held(one) && say("checkRunPage.holds", { holds: one.holds })}
            </li>
          ))}
      </ul>
    </div>
  );
}

const VERDICTS = {
  RIGHT: say("checkRunPage.wasAsItShouldBe"),
  WRONG: say("checkRunPage.wasWrong"),
  LEFT_OUT: say("checkRunPage.leftOut"),
} as const;

/** A reading nobody took is not nought. */
const read = (value: number | null) =>
  value === null ? say("checkRunPage.notRead") : String(value);

/** What a check found, to be ended or looked at again. */
function Summary({ run, name, back }: RunProps & { back: (to: number) => void }) {
  const { standing } = useModel();
  const end = useEndCheck(standing.id, name);
  const navigate = useNavigate();
  const waits = useWaits(name);
  const clear = run.judged.reasons.length === 0;
  const open = run.state === "OPEN";
  const finish = () =>
    end.mutate(run.version, {
      onSuccess: () =>
        void navigate(run.kind === "FLIGHT" && clear && !waits ? "../../new" : "..", {
          relative: "path",
        }),
    });
  return (
    <div className="mx-auto max-w-2xl space-y-3 pt-3">
      <Card
        title={
          waits
            ? say("checkRunPage.notEvaluated")
            : clear
              ? say("checkRunPage.nothingWrong")
              : say("checkRunPage.doNotFly")
        }
        className={`border-l-4 ${waits ? "border-l-tag" : clear ? "border-l-done" : "border-l-grounded"}`}
      >
        {waits ? (
          <Unjudged run={run} />
        ) : (
          <ul className="list-disc pl-5" data-reasons={run.judged.reasons.length}>
            {run.judged.reasons.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        )}
        {(clear || waits) && <p>{say("checkRunPage.lastWord")}</p>}
        {open && (
          <Button
            look="main"
            large
            className="mt-3 w-full"
            disabled={end.isPending}
            onClick={finish}
          >
            {say("checkRunPage.finish")}
          </Button>
        )}
        {end.isError && <Failure error={end.error} />}
      </Card>
      <Card title={say("checkRunPage.stepByStep")}>
        <ol className="divide-y divide-line">
          {run.steps.map((step, i) => {
            const answer = run.answers.find((one) => one.step === step.id);
            return (
              <li key={step.id} className="flex flex-wrap justify-between gap-x-3 py-1.5">
                {open ? (
                  <Button look="quiet" className="min-h-12" onClick={() => back(i)}>
                    {step.title}
                  </Button>
                ) : (
                  <span>{step.title}</span>
                )}
                <span className="figures text-sm text-soft">
                  {answer === undefined ? say("checkRunPage.noAnswer") : VERDICTS[answer.verdict]}
                  {answer !== undefined && answer.note !== "" && `: ${answer.note}`}
                  {answer !== undefined &&
                    step.counted &&
                    say("checkRunPage.counts", {
                      read: read(answer.fadesFirst),
                      readOther: read(answer.fadesSecond),
                      readThird: read(answer.lostFrames),
                      readFourth: read(answer.holds),
                    })}
                </span>
              </li>
            );
          })}
        </ol>
      </Card>
      <Link to=".." relative="path" className="underline underline-offset-2">
        {say("checkRunPage.allChecks")}
      </Link>
    </div>
  );
}

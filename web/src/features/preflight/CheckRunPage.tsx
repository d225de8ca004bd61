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
    return run.isError ? <Failure error={run.error} /> : <Waiting what="the check" />;
  }
  if (!hasNumber(name) && run.data.id > 0 && !waits) {
    return <Navigate to={`../${run.data.id}`} relative="path" replace />;
  }
  return <Run run={run.data} name={name} />;
}

/** Begun offline, and the page was loaded anew since. */
function NotHere() {
  return (
    <Card title="Begun offline">
      <p>
        This check was begun offline, and this page has been reloaded since. Its answers are kept;
        you can continue it on the Check page once High Tally is online again.
      </p>
      <Link to=".." relative="path" className="underline underline-offset-2">
        All checks
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
        <PartDone label="Check" hidden done={index} of={run.steps.length} />
        <span className="figures shrink-0 text-soft">
          {index + 1} of {run.steps.length}
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
            label="What was wrong, or why left out?"
            value={note}
            onValue={setNote}
            maxLength={300}
          />
          <div className="mt-2 grid grid-cols-2 gap-2">
            <Button look="warn" large disabled={send.isPending} onClick={() => answer("WRONG")}>
              It is wrong
            </Button>
            <Button
              large
              disabled={send.isPending || note.trim() === ""}
              onClick={() => answer("LEFT_OUT")}
            >
              Leave it out
            </Button>
          </div>
        </div>
      )}
      {send.isError && <Failure error={send.error} />}
      <div className="mt-3 grid grid-cols-[auto_1fr_2fr] gap-2">
        <Button large disabled={index === 0} onClick={() => go(index - 1)} aria-label="Back">
          Back
        </Button>
        <Button large aria-expanded={wrong} onClick={() => setWrong(!wrong)}>
          Wrong
        </Button>
        <Button look="main" large disabled={send.isPending} onClick={() => answer("RIGHT")}>
          {held(counts) && step.counted ? "Note it" : "As it should be"}
        </Button>
      </div>
      <p className="mt-2 text-sm text-soft">
        Every answer is kept at once. You can stop and carry on later.
      </p>
    </div>
  );
}

/** What was answered out of reach, as it was answered: whether it grounds the model is not said here. */
function Unjudged({ run }: { run: CheckRun }) {
  return (
    <div data-unjudged>
      <p>
        Offline: your answers are kept in this browser, and the check is evaluated once High Tally
        is online again.
      </p>
      <ul className="list-disc pl-5">
        {run.answers
          .filter((one) => one.verdict !== "RIGHT" || held(one))
          .map((one) => (
            <li key={one.step}>
              {run.steps.find((step) => step.id === one.step)?.title}: {VERDICTS[one.verdict]}
              {one.note !== "" && `, ${one.note}`}
              {held(one) && `, ${one.holds} holds`}
            </li>
          ))}
      </ul>
    </div>
  );
}

const VERDICTS = { RIGHT: "as it should be", WRONG: "wrong", LEFT_OUT: "left out" } as const;

/** A reading nobody took is not nought. */
const read = (value: number | null) => (value === null ? "not read" : String(value));

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
            ? "Not evaluated yet"
            : clear
              ? "Nothing wrong found in this check"
              : "Do not fly it like this"
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
        {(clear || waits) && <p>The last word is yours, at the model.</p>}
        {open && (
          <Button
            look="main"
            large
            className="mt-3 w-full"
            disabled={end.isPending}
            onClick={finish}
          >
            Finish the check
          </Button>
        )}
        {end.isError && <Failure error={end.error} />}
      </Card>
      <Card title="Step by step">
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
                  {answer === undefined ? "no answer" : VERDICTS[answer.verdict]}
                  {answer !== undefined && answer.note !== "" && `: ${answer.note}`}
                  {answer !== undefined &&
                    step.counted &&
                    `; fades ${read(answer.fadesFirst)} and ${read(answer.fadesSecond)}, lost ${read(answer.lostFrames)}, holds ${read(answer.holds)}`}
                </span>
              </li>
            );
          })}
        </ol>
      </Card>
      <Link to=".." relative="path" className="underline underline-offset-2">
        All checks
      </Link>
    </div>
  );
}

import { shownIn, typedIn, unitSign, valueIn } from "@/domain/units";
import { TriedMend } from "@/features/model/TriedMend";
import { Fold } from "@/ui/fold";
import { useEffect, useEffectEvent, useState } from "react";
import { ApiError } from "@/api/client";
import {
  useCloseSetUp,
  useMoveSetUp,
  useSetUpMends,
  type StepResult,
  type OpenSetUp,
} from "@/api/rig";
import { useModel } from "@/features/model/model";
import { AircraftViews } from "@/features/bench/AircraftViews";
import { useBenchStore } from "@/features/bench/store";
import { Button } from "@/ui/button";
import { Caution } from "@/ui/card";
import { Failure } from "@/ui/message";
import { PartDone } from "@/ui/part-done";
import { useStepKeys } from "@/ui/shortcuts";
import { SeatDrawing } from "./SeatDrawing";
import { say } from "@/words/generated/benchsetup";

/** What was typed, as numbers; a decimal comma is as good as a point. */
/** Where the focus goes when another step comes up. */
export const STEP_TITLE = "guided-step";

interface Shown {
  open: OpenSetUp;
  /** What was typed and not taken yet, by step: it stays however often a step is left. */
  kept?: Map<string, string[]>;
  onConflict?: (step: string) => void;
  /** What was pressed while an answer was being saved; it is carried out after that. */
  pressed?: Pressed;
  onPressed?: (pressed: Pressed | undefined) => void;
}

/** Where to go and what was answered to which step. */
export interface Pressed {
  step: string;
  to: string;
  choice?: string;
}

const CONFLICT = 409;

/** One step, to be read from a metre away. */
export function GuidedStep({ open, kept, onConflict, pressed, onPressed }: Shown) {
  const { standing } = useModel();
  const move = useMoveSetUp(standing.id);
  const close = useCloseSetUp(standing.id);
  const bench = useBenchStore();
  const step = open.steps[open.step];
  const answer = open.answers.find((one) => one.step === step?.id);
  const verdict = open.verdicts.find((one) => one.step === step?.id);
  const [typed, setTyped] = useState<string[]>(
    kept?.get(step?.id ?? "") ??
      step?.figures.map(({ unit }, i) => {
        const value = answer?.values[i];
        return value == null ? "" : shownIn(unit, value);
      }) ??
      [],
  );
  const type = (text: string, at: number) => {
    const all = typed.map((one, other) => (other === at ? text : one));
    setTyped(all);
    kept?.set(step?.id ?? "", all);
  };
  const surface = step?.surface ?? "";
  useEffect(() => {
    if (surface !== "") {
      bench.select(surface);
    }
  }, [bench, surface]);
  const values = (step?.figures ?? []).map(({ unit }, i) => typedIn(unit, typed[i] ?? ""));
  const complete = values.length > 0 && values.every((value) => Number.isFinite(value));
  const wrong = typed.some((text, i) => text.trim() !== "" && !Number.isFinite(values[i]));
  const changed = complete && values.some((value, i) => value !== answer?.values[i]);
  const busy = move.isPending || close.isPending;
  const next = open.steps.findIndex((_, i) => i > open.step && barred(open, i) === undefined);
  const back = open.steps.findLastIndex((_, i) => i < open.step && barred(open, i) === undefined);
  const last = open.step === open.steps.length - 1;
  const send = (to: number, choice?: string) => {
    const target = open.steps[to];
    if (step === undefined || target === undefined || wrong) {
      return;
    }
    if (busy) {
      onPressed?.({ step: step.id, to: target.id, choice });
      return;
    }
    const given =
      choice !== undefined
        ? [{ step: step.id, choice, values: [] }]
        : changed
          ? [{ step: step.id, choice: "", values }]
          : [];
    move.mutate(
      { version: open.version, step: target.id, answers: given },
      {
        onSuccess: () => given.length > 0 && kept?.delete(step.id),
        onError: (error) =>
          error instanceof ApiError && error.status === CONFLICT && onConflict?.(step.id),
      },
    );
  };
  const carryOut = useEffectEvent((late: Pressed) => {
    onPressed?.(undefined);
    const to = open.steps.findIndex((one) => one.id === late.to);
    const answersThis = late.choice === undefined || late.step === step?.id;
    if (answersThis && barred(open, to) === undefined) {
      send(to, late.choice);
    }
  });
  useEffect(() => {
    if (!busy && pressed !== undefined) {
      carryOut(pressed);
    }
  }, [busy, pressed]);
  useStepKeys({ busy, next: () => send(next), back: () => send(back) });
  if (step === undefined) {
    return null;
  }
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div>
        <Progress at={open.step} of={open.steps.length} />
        <form
          className="min-h-[24rem] rounded-card border border-line bg-sheet p-6 sm:p-8"
          onSubmit={(event) => {
            event.preventDefault();
            send(complete ? open.step : next);
          }}
        >
          <h2
            id={STEP_TITLE}
            tabIndex={-1}
            className="mb-3 text-3xl leading-tight sm:text-4xl"
            data-guide={step.id}
          >
            {step.title}
          </h2>
          <p className="mb-4 max-w-[52ch] text-xl leading-snug">{step.instruction}</p>
          {step.caution !== "" && (
            <div className="mb-4 text-lg">
              <Caution>{step.caution}</Caution>
            </div>
          )}
          <div className="flex flex-wrap gap-3">
            {step.choices.map((choice) => (
              <Button
                key={choice.id}
                large
                look={answer?.choice === choice.id ? "main" : "plain"}
                aria-pressed={answer?.choice === choice.id}
                onClick={() => send(open.step, choice.id)}
              >
                {choice.words}
              </Button>
            ))}
            {step.figures.map((figure, i) => (
              <label key={figure.label} className="block">
                <span className="block text-soft">
                  {figure.label}
                  {figure.known &&
                    say("guidedStep.expected", {
                      valueIn: valueIn(figure.unit, figure.expected, 1),
                    })}
                </span>
                <span className="flex items-baseline gap-2">
                  <input
                    inputMode="decimal"
                    className="figures h-14 w-32 rounded-card border border-line-strong bg-sheet px-3 text-3xl font-semibold"
                    value={typed[i] ?? ""}
                    onChange={(event) => type(event.target.value, i)}
                  />
                  <span className="text-xl text-soft">{unitSign(figure.unit)}</span>
                </span>
              </label>
            ))}
            {step.figures.length > 0 && (
              <Button type="submit" large className="self-end" disabled={!changed || busy}>
                {say("guidedStep.compare")}
              </Button>
            )}
          </div>
          {wrong && (
            <p role="alert" className="mt-2 font-medium text-grounded">
              {say("guidedStep.numbersOnly")}
            </p>
          )}
          {open.again.includes(step.id) && (
            <p role="note" className="mt-4 border-l-4 border-tag bg-inset px-4 py-2 text-lg">
              {say("guidedStep.askedAgainSomethingDepends")}
            </p>
          )}
          {verdict !== undefined && <Verdict verdict={verdict} />}
        </form>
        {[move, close].map((one, i) => one.isError && <Failure key={i} error={one.error} />)}
        <div className="mt-4 grid grid-cols-2 gap-3">
          <Button large onClick={() => send(back)} disabled={back < 0 || busy}>
            {say("guidedStep.back")}
          </Button>
          {last ? (
            <Button look="main" large disabled={busy} onClick={() => close.mutate(open.version)}>
              {say("guidedStep.doneCloseSetUp")}
            </Button>
          ) : (
            <Button
              look="main"
              large
              onClick={() => send(next)}
              disabled={busy || wrong || next < 0}
            >
              {say("guidedStep.next")}
            </Button>
          )}
        </div>
        {!last && next !== open.step + 1 && (
          <p role="note" className="mt-2 text-soft">
            {barred(open, open.step + 1)}
          </p>
        )}
      </div>
      <div className="space-y-3">
        <AircraftViews compact />
        {verdict?.seats.map((seat, i) => (
          <SeatDrawing key={i} seat={seat} />
        ))}
        <StepList open={open} onGo={send} />
      </div>
    </div>
  );
}

/** Why a step is not gone to yet; undefined for one that is open. */
const barred = (open: OpenSetUp, at: number) =>
  open.barred.find((one) => one.step === open.steps[at]?.id)?.why;

function Progress({ at, of }: { at: number; of: number }) {
  return (
    <div className="mb-3 flex items-center gap-3">
      <PartDone label={say("guidedStep.benchSetUp")} hidden done={at + 1} of={of} />
      <span className="figures text-soft">{say("guidedStep.stepOf", { at: at + 1, of })}</span>
    </div>
  );
}

function Verdict({ verdict }: { verdict: StepResult }) {
  return (
    <div
      role="status"
      data-verdict={verdict.asks ? "asks" : verdict.agrees ? "agrees" : "differs"}
      className={`mt-5 border-l-4 bg-inset px-4 py-3 text-lg ${verdict.agrees ? "border-done" : "border-tag"}`}
    >
      <p className="font-medium">{verdict.words}</p>
      <Mends step={verdict.step} />
    </div>
  );
}

/** What goes with an answer, once it was tried. */
function Mends({ step }: { step: string }) {
  const { standing } = useModel();
  const mends = useSetUpMends(standing.id, step);
  if (mends.data === undefined) {
    return (
      <p className="text-base text-soft">
        {mends.isError ? say("guidedStep.changeNotTried") : say("guidedStep.tryingChange")}
      </p>
    );
  }
  return mends.data.map((mend) => <TriedMend key={mend.words} mend={mend} />);
}

function StepList({ open, onGo }: { open: OpenSetUp; onGo: (to: number) => void }) {
  return (
    <Fold
      className="rounded-card border border-line bg-sheet p-3 text-sm"
      title={<span className="font-semibold">{say("guidedStep.allSteps")}</span>}
    >
      <ol className="mt-2 max-h-80 overflow-auto">
        {open.steps.map((step, i) => {
          const verdict = open.verdicts.find((one) => one.step === step.id);
          const answered = open.answers.some((one) => one.step === step.id);
          const mark =
            verdict === undefined
              ? answered
                ? "done"
                : open.again.includes(step.id)
                  ? say("guidedStep.askedAgain")
                  : ""
              : verdict.agrees
                ? "done"
                : say("guidedStep.lookAgain");
          return (
            <li key={step.id}>
              <button
                type="button"
                className={`flex w-full justify-between gap-2 rounded-card px-2 py-0.5 text-left hover:bg-inset disabled:text-soft ${i === open.step ? "font-semibold" : ""}`}
                disabled={barred(open, i) !== undefined}
                onClick={() => onGo(i)}
              >
                <span>{step.title}</span>
                <span className={mark === "look again" ? "text-grounded" : "text-done"}>
                  {mark}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </Fold>
  );
}

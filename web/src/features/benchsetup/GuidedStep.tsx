import { useEffect, useEffectEvent } from "react";
import { ApiError } from "@/api/client";
import { useCloseSetUp, useMoveSetUp, type OpenSetUp } from "@/api/rig";
import { useModel } from "@/features/model/model";
import { AircraftViews } from "@/features/bench/AircraftViews";
import { useBenchStore } from "@/features/bench/store";
import { Button } from "@/ui/button";
import { Caution } from "@/ui/card";
import { Enter } from "@/ui/form";
import { Failure } from "@/ui/message";
import { PartDone } from "@/ui/part-done";
import { useStepKeys } from "@/ui/shortcuts";
import { Answers, useFigures } from "./StepAnswers";
import { barred, StepList } from "./StepList";
import { StepVerdict } from "./StepVerdict";
import { SeatDrawing } from "./SeatDrawing";
import { Ways } from "./Ways";
import { say } from "@/words/generated/benchsetup";

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

/** Goes to a step with what was answered; what is pressed meanwhile is carried out after it. */
function useSending(
  { open, kept, onConflict, pressed, onPressed }: Shown,
  { values, wrong, changed }: ReturnType<typeof useFigures>,
  move: ReturnType<typeof useMoveSetUp>,
  busy: boolean,
) {
  const step = open.steps[open.step];
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
  return send;
}

/** One step, to be read from a metre away. */
export function GuidedStep({ open, kept, onConflict, pressed, onPressed }: Shown) {
  const { standing } = useModel();
  const move = useMoveSetUp(standing.id);
  const close = useCloseSetUp(standing.id);
  const bench = useBenchStore();
  const step = open.steps[open.step];
  const answer = open.answers.find((one) => one.step === step?.id);
  const verdict = open.verdicts.find((one) => one.step === step?.id);
  const figures = useFigures(step, answer, kept);
  const { typed, type, complete, wrong, changed } = figures;
  const surface = step?.surface ?? "";
  const looking = step?.kind === "WAYS";
  useEffect(() => {
    if (surface !== "") {
      bench.select(surface);
    }
  }, [bench, surface]);
  const busy = move.isPending || close.isPending;
  const next = open.steps.findIndex((_, i) => i > open.step && barred(open, i) === undefined);
  const back = open.steps.findLastIndex((_, i) => i < open.step && barred(open, i) === undefined);
  const last = open.step === open.steps.length - 1;
  const send = useSending({ open, kept, onConflict, pressed, onPressed }, figures, move, busy);
  useStepKeys({ busy, next: () => send(next), back: () => send(back) });
  if (step === undefined) {
    return null;
  }
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div>
        <Progress at={open.step} of={open.steps.length} />
        <Enter
          className="min-h-[24rem] rounded-card border border-line bg-sheet p-6 sm:p-8"
          send={() => send(complete ? open.step : next)}
        >
          <h2
            id={STEP_TITLE}
            tabIndex={-1}
            className={`mb-3 leading-tight ${looking ? "text-xl" : "text-3xl sm:text-4xl"}`}
            data-guide={step.id}
          >
            {step.title}
          </h2>
          {!looking && <p className="mb-4 max-w-[52ch] text-xl leading-snug">{step.instruction}</p>}
          {step.caution !== "" && (
            <div className="mb-4 text-lg">
              <Caution>{step.caution}</Caution>
            </div>
          )}
          <div className="flex flex-wrap gap-3">
            <Answers
              step={step}
              chosen={answer?.choice}
              typed={typed}
              onType={type}
              onChoose={(choice) => send(open.step, choice)}
              ready={changed && !busy}
            />
          </div>
          {wrong && (
            <p role="alert" className="mt-2 font-medium text-grounded">
              {say("guidedStep.numbersOnly")}
            </p>
          )}
          {open.again.includes(step.id) && (
            <p role="note" className="mt-4 border-l-4 border-tag bg-inset px-4 py-2 text-lg">
              {say("guidedStep.askedAgain")}
            </p>
          )}
          {looking && (
            <Ways
              version={open.version}
              how={step.instruction}
              onConflict={() => onConflict?.(step.id)}
            />
          )}
          {verdict !== undefined && !looking && <StepVerdict verdict={verdict} />}
        </Enter>
        {[move, close].map((one, i) => one.isError && <Failure key={i} error={one.error} />)}
        <div className="mt-4 grid grid-cols-2 gap-3">
          <Button large onClick={() => send(back)} disabled={back < 0 || busy}>
            {say("guidedStep.back")}
          </Button>
          <Button
            look={looking && verdict?.agrees !== true ? "plain" : "main"}
            large
            onClick={() => (last ? close.mutate(open.version) : send(next))}
            disabled={busy || (!last && (wrong || next < 0))}
          >
            {last ? say("guidedStep.close") : say("guidedStep.next")}
          </Button>
        </div>
        {!last && next !== open.step + 1 && (
          <p role="note" className="mt-2 text-soft">
            {barred(open, open.step + 1)}
          </p>
        )}
      </div>
      <div className="space-y-3">
        {!looking && <AircraftViews compact />}
        {verdict?.seats.map((seat, i) => (
          <SeatDrawing key={i} seat={seat} />
        ))}
        <StepList open={open} onGo={send} />
      </div>
    </div>
  );
}

function Progress({ at, of }: { at: number; of: number }) {
  return (
    <div className="mb-3 flex items-center gap-3">
      <PartDone label={say("guidedStep.benchSetUp")} hidden done={at + 1} of={of} />
      <span className="figures text-soft">{say("guidedStep.stepOf", { at: at + 1, of })}</span>
    </div>
  );
}

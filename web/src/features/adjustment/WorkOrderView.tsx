import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { useCloseAdjustment, type OpenAdjustment } from "@/api/queries";
import { useMoveAdjustment } from "@/api/field-work";
import { useAway } from "@/api/reach";
import { VerifyPanel } from "./VerifyPanel";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Caution } from "@/ui/card";
import { useFocusIfLost, useFocusOn } from "@/ui/focus";
import { Failure } from "@/ui/message";
import { PartDone } from "@/ui/part-done";
import { useStepKeys } from "@/ui/shortcuts";
import { GaugePanel } from "./GaugePanel";
import { GiveUp } from "./GiveUp";
import { TextLine } from "@/ui/text-line";
import { MarkPanel } from "./MarkPanel";
import { TurnDrawing } from "./TurnDrawing";
import { say } from "@/words/generated/adjustment";

/** One step at a time, to be read from a metre away. */
export function WorkOrderView({ open }: { open: OpenAdjustment }) {
  const { standing, draft } = useModel();
  const navigate = useNavigate();
  const move = useMoveAdjustment(standing.id);
  const close = useCloseAdjustment(standing.id);
  const [because, setBecause] = useState("");
  const { steps, rods } = open.plan;
  const step = steps[open.step];
  const last = open.step === steps.length - 1;
  const done = open.done.filter(Boolean).length;
  const busy = move.isPending || close.isPending;
  const barred = open.bars[open.step] ?? "";
  const away = useAway() !== undefined;
  const unexplained = open.notAsPlanned.length > 0 && because.trim() === "";
  const go = (to: number) => {
    if (!busy && to >= 0 && to < steps.length) {
      move.mutate({ step: to, version: open.version });
    }
  };
  useStepKeys({ busy, next: () => go(open.step + 1), back: () => go(open.step - 1) });
  const heading = useFocusOn<HTMLHeadingElement>(open.step);
  useFocusIfLost(heading);
  if (step === undefined) {
    return null;
  }
  const rod = rods.find((one) => one.surface === step.surface);
  const way = draft.present.surfaces.find((one) => one.id === step.surface) ?? false;
  // The order may be gone from the page before its closing is: the way on hangs on the answer alone.
  const finish = () =>
    void close.mutateAsync({ version: open.version, because: because.trim() }).then(
      () => navigate("../rig"),
      () => undefined,
    );
  return (
    <div className="mx-auto max-w-4xl">
      <div className="mb-3 flex items-center gap-3">
        <PartDone label={say("workOrderView.workOrder")} hidden done={done} of={steps.length} />
        <span className="figures text-soft">
          {say("workOrderView.progress", { step: open.step + 1, steps: steps.length, done })}
        </span>
        <Link to="sheet" className="underline underline-offset-2">
          {say("workOrderView.onPaper")}
        </Link>
      </div>
      <article
        className="min-h-[22rem] rounded-card border border-line bg-sheet p-6 sm:p-10"
        aria-live="polite"
      >
        <h2
          ref={heading}
          tabIndex={-1}
          className="mb-4 text-3xl leading-tight sm:text-5xl"
          data-step={step.kind}
        >
          {step.title}
        </h2>
        <div className="grid gap-6 sm:grid-cols-[1fr_auto]">
          <p className="max-w-[44ch] text-xl leading-snug sm:text-2xl">{step.detail}</p>
          {step.kind === "TURN" && rod !== undefined && <TurnDrawing rod={rod} way={way} />}
        </div>
        {rod !== undefined && step.kind === "ZERO" && (
          <GaugePanel key={rod.surface} open={open} rod={rod} />
        )}
        {rod !== undefined && step.kind === "CHECK" && (
          <MarkPanel key={rod.surface} open={open} rod={rod} />
        )}
        {step.kind === "VERIFY" && <VerifyPanel open={open} />}
        {step.caution !== "" && (
          <div className="mt-5 text-lg">
            <Caution>{step.caution}</Caution>
          </div>
        )}
      </article>
      {last && away && (
        <p role="status" className="mt-3 border-l-4 border-tag bg-sheet px-4 py-2">
          {say("workOrderView.savedLater")}
        </p>
      )}
      {barred !== "" && (
        <p role="status" className="mt-3 border-l-4 border-tag bg-sheet px-4 py-2" data-barred>
          {barred}
        </p>
      )}
      {last && <NotAsPlanned open={open} because={because} onBecause={setBecause} />}
      {[move, close].map((one, i) => one.isError && <Failure key={i} error={one.error} />)}
      <div className="mt-4 grid grid-cols-2 gap-3">
        <Button large onClick={() => go(open.step - 1)} disabled={open.step === 0 || busy}>
          {say("workOrderView.back")}
        </Button>
        {last ? (
          <Button look="main" large onClick={finish} disabled={busy || away || unexplained}>
            {say("workOrderView.saveRevision", { number: standing.newest.number + 1 })}
          </Button>
        ) : (
          <Button
            look="main"
            large
            onClick={() => go(open.step + 1)}
            disabled={busy || barred !== ""}
          >
            {say("workOrderView.next")}
          </Button>
        )}
      </div>
      <GiveUp open={open} />
    </div>
  );
}

interface NotAsPlannedProps {
  open: OpenAdjustment;
  because: string;
  onBecause: (because: string) => void;
}

/** What did not come out as planned, and why the order is closed all the same. */
function NotAsPlanned({ open, because, onBecause }: NotAsPlannedProps) {
  if (open.notAsPlanned.length === 0) {
    return null;
  }
  return (
    <div className="mt-3 border-l-4 border-grounded bg-sheet px-4 py-2" data-not-as-planned>
      <p className="font-semibold">{say("workOrderView.notAsPlanned")}</p>
      <ul className="list-disc pl-5">
        {open.notAsPlanned.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
      <TextLine
        label={say("workOrderView.reasonForClosing")}
        value={because}
        onValue={onBecause}
        maxLength={200}
      />
    </div>
  );
}

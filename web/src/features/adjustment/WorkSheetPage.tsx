import type { ReactNode } from "react";
import { turnWords } from "./turn-words";
import { SheetNote } from "@/features/model/SheetNote";
import { lengthFigure, lengthSign } from "@/domain/reader";
import { useOpenAdjustment, type OpenAdjustment, type PlannedRod } from "@/api/queries";
import { CONTROL_KEYS, clickWords, controlName, travelWords, within } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Empty } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { say } from "@/words/generated/adjustment";
import { told } from "@/words/generated/enums";

const BOX = "border border-ink p-1 align-top";

/** The whole work order on one page, with room for what is measured. */
export function WorkSheetPage() {
  const { standing, draft } = useModel();
  const open = useOpenAdjustment(standing.id);
  if (open.data === undefined) {
    return open.isError ? (
      <Failure error={open.error} />
    ) : (
      <Waiting what={say("workSheetPage.waitingFor")} />
    );
  }
  if (open.data === null) {
    return <Empty title={say("workSheetPage.noneOpen")}>{say("workSheetPage.beginOne")}</Empty>;
  }
  const { plan } = open.data;
  const turned = plan.rods.filter((rod) => rod.steps !== 0);
  const whole = plan.steps.filter((step) => step.surface === "");
  const first = whole.slice(0, 2);
  const last = whole.slice(2);
  return (
    <div className="mx-auto max-w-[820px]">
      <Button look="main" className="no-print mb-3" onClick={() => print()}>
        {say("workSheetPage.print")}
      </Button>
      <article
        className="rounded-card border border-line bg-sheet p-6 text-sm print:border-0 print:p-0"
        data-work-sheet
      >
        <h2 className="text-2xl">{say("workSheetPage.workOrder", { name: draft.present.name })}</h2>
        <SheetNote>
          {say("workSheetPage.goal", {
            revisionNumber: open.data.revisionNumber,
            number: standing.newest.number + 1,
          })}
        </SheetNote>
        {first.map((step) => (
          <Step key={step.title} title={step.title} words={`${step.detail} ${step.caution}`} />
        ))}
        <p className="mt-2">{say("workSheetPage.surfaceBySurface")}</p>
        <Turns rods={turned} />
        <Phases open={open.data} />
        {last.map((step) => (
          <Step key={step.title} title={step.title} words={`${step.detail} ${step.caution}`} />
        ))}
        <Throws open={open.data} />
      </article>
    </div>
  );
}

/** A table to write in: a cell of nothing has room for it. On a phone each row is a card. */
function Ruled({ heads, rows }: { heads: string[]; rows: [string, ...ReactNode[]][] }) {
  return (
    <table className="figures cards-on-phone mt-3 w-full border-collapse">
      <thead>
        <tr className="text-left">
          {heads.map((one) => (
            <th key={one} className={BOX}>
              {one}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([key, ...cells]) => (
          <tr key={key}>
            {heads.map((head, at) => (
              <td key={head} className={cells[at] === null ? `${BOX} w-24` : BOX} data-label={head}>
                {cells[at]}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Step({ title, words }: { title: string; words: string }) {
  return (
    <p className="mt-1.5 flex gap-2">
      <span aria-hidden className="mt-0.5 size-4 shrink-0 border border-ink" />
      <span>
        <strong>{title}.</strong> {words}
      </span>
    </p>
  );
}

function Turns({ rods }: { rods: PlannedRod[] }) {
  const { draft } = useModel();
  return (
    <Ruled
      heads={[
        say("workSheetPage.surface"),
        say("workSheetPage.turn"),
        say("workSheetPage.atZeroTrim"),
        say("workSheetPage.itWent"),
        say("workSheetPage.turnsNeeded"),
        say("workSheetPage.offMark"),
      ]}
      rows={rods.map((rod) => {
        const way = draft.present.surfaces.find((one) => one.id === rod.surface) ?? false;
        return [
          rod.surface,
          <strong key="name">{rod.surfaceName}</strong>,
          <span key="turn">
            {rod.turn}
            <span className="block">{turnWords(rod, way)}</span>
          </span>,
          travelWords(rod.zeroingMm, way),
          null,
          null,
          null,
        ];
      })}
    />
  );
}

function Phases({ open }: { open: OpenAdjustment }) {
  return (
    <Ruled
      heads={[say("workSheetPage.trimsAfterwards"), ...CONTROL_KEYS.map(controlName)]}
      rows={open.plan.phases.map((phase) => [
        phase.phase,
        phase.name,
        ...CONTROL_KEYS.map(
          (key) => `${clickWords(key, phase.before[key])} → ${clickWords(key, phase.after[key])}`,
        ),
      ])}
    />
  );
}

function Throws({ open }: { open: OpenAdjustment }) {
  return (
    <Ruled
      heads={[
        say("workSheetPage.atFullStick"),
        say("workSheetPage.firstWay"),
        say("workSheetPage.expected", { lengthSign: lengthSign() }),
        say("workSheetPage.measured", { lengthSign: lengthSign() }),
      ]}
      rows={open.verification.map((one) => [
        `${one.surface} ${one.by}`,
        `${one.name}: ${within(one.how)}`,
        told("Way", one.first),
        `${lengthFigure(one.plusMm, 1)} / ${lengthFigure(one.minusMm, 1)}`,
        null,
      ])}
    />
  );
}

import { exchanged } from "@/domain/lists";
import { ArrowDown, ArrowUp, X } from "lucide-react";
import { useState } from "react";
import { type Phase } from "@/api/program";
import { useCopy } from "@/api/edits";
import { DraftCheck, DraftChoice, DraftNumber, DraftText } from "@/features/model/fields";
import { NOSES, PHASE_ROLES } from "@/features/model/roles";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { RemoveDialog } from "./RemoveDialog";
import { AddPhase } from "./AddPhase";
import { BenchBeside } from "@/features/bench/BenchBeside";
import { Became } from "./Became";
import { PhaseTable } from "./PhaseTable";
import { UsualPhases } from "./UsualPhases";
import { DraftWhen } from "./parts";
import { say } from "@/words/generated/program";

/** Surfaces by flight phase as the bench shows them; the first whose condition is true is on. */
export function PhasesPage() {
  const { draft, change } = useModel();
  const setup = draft.present;
  const last = setup.phases.length - 1;
  const [gone, setGone] = useState("");
  const setPhases = (value: Phase[]) => change({ type: "edit", path: ["phases"], value });
  const exchange = (i: number) => setPhases(exchanged(setup.phases, i));
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <PhaseTable />
        <Became />
        {setup.phases.length === 1 && <UsualPhases />}
        {setup.phases.map((phase, i) => (
          <Card
            key={phase.id}
            title={phase.name}
            aside={
              i < last && (
                <span className="flex gap-1">
                  <Button
                    look="quiet"
                    className="!px-2"
                    aria-label={say("phasesPage.earlier", { phase: phase.name })}
                    disabled={i === 0}
                    onClick={() => exchange(i - 1)}
                  >
                    <ArrowUp aria-hidden size={15} />
                  </Button>
                  <Button
                    look="quiet"
                    className="!px-2"
                    aria-label={say("phasesPage.later", { phase: phase.name })}
                    disabled={i >= last - 1}
                    onClick={() => exchange(i)}
                  >
                    <ArrowDown aria-hidden size={15} />
                  </Button>
                  <Button
                    look="quiet"
                    className="!px-2"
                    aria-label={say("phasesPage.remove", { phase: phase.name })}
                    onClick={() => setGone(phase.id)}
                  >
                    <X aria-hidden size={15} />
                  </Button>
                </span>
              )
            }
          >
            <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
              <DraftText
                path={["phases", i, "name"]}
                label={say("phasesPage.name")}
                of={phase.name}
              />
              {i < last ? (
                <DraftWhen
                  path={["phases", i, "when"]}
                  label={say("phasesPage.onWhile")}
                  none={say("phasesPage.never")}
                />
              ) : (
                <p className="self-center text-sm text-soft">{say("phasesPage.restPhase")}</p>
              )}
              <DraftNumber path={["phases", i, "fadeSeconds"]} of={phase.name} />
              <DraftChoice
                path={["phases", i, "role"]}
                label={say("phasesPage.purpose")}
                options={PHASE_ROLES}
              />
              <DraftChoice
                path={["phases", i, "nose"]}
                label={say("phasesPage.nose")}
                options={NOSES}
              />
              <div className="space-y-0.5 self-center">
                <DraftCheck path={["phases", i, "ownRoll"]} label={say("phasesPage.rollTrim")} />
                <DraftCheck path={["phases", i, "ownPitch"]} label={say("phasesPage.pitchTrim")} />
                <DraftCheck path={["phases", i, "ownYaw"]} label={say("phasesPage.yawTrim")} />
              </div>
              <div className="col-span-2 sm:col-span-4">
                <DraftText
                  path={["phases", i, "goal"]}
                  label={say("phasesPage.goal")}
                  of={phase.name}
                />
              </div>
            </div>
            <CopyInto phase={phase} />
          </Card>
        ))}
        <AddPhase />
        <RemoveDialog
          id={gone}
          name={setup.phases.find((one) => one.id === gone)?.name ?? ""}
          onClose={() => setGone("")}
        />
      </div>
      <BenchBeside />
    </div>
  );
}

/** Takes another phase's presets, differential and trims. */
function CopyInto({ phase }: { phase: Phase }) {
  const { draft } = useModel();
  const worked = useWorked();
  const copy = useCopy();
  const others = draft.present.phases.filter((one) => one.id !== phase.id);
  return others.length === 0 ? null : (
    <div className="mt-2 flex flex-wrap items-center gap-2 text-sm">
      <span className="text-soft">{say("phasesPage.copyFrom")}</span>
      {others.map((one) => (
        <Button
          key={one.id}
          className="!min-h-7 !px-2 text-sm"
          disabled={copy.isPending}
          onClick={() =>
            void worked(
              copy.mutateAsync({ setup: draft.present, what: "PHASE", from: one.id, to: phase.id }),
            )
          }
        >
          {one.name}
        </Button>
      ))}
      {copy.isError && <Failure error={copy.error} />}
    </div>
  );
}

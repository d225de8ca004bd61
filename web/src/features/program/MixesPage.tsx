import { useState } from "react";
import type { Schemas } from "@/api/client";
import { useCopy, useMixSource } from "@/api/edits";
import { Plus, X } from "lucide-react";
import { useDesk, useProgramSheet, type CurvePoint, type Mix, type MixEffect } from "@/api/program";
import { DraftChoice, DraftNumber, DraftText } from "@/features/model/fields";
import { COMMAND, THROTTLE } from "@/domain/scales";
import { useBench } from "@/features/bench/store";
import { AddButton } from "@/features/model/edits";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { Became } from "./Became";
import { UnitChoice } from "./MovementField";
import { nextTargets, TargetEnds, targetRows, Where } from "./MixTargets";
import { BenchBeside } from "@/features/bench/BenchBeside";
import { CurveField } from "./CurveField";
import { Gallery } from "./Gallery";
import { TrimCurveCard } from "./TrimCurveCard";
import { Term } from "./Term";
import { DraftPhases, DraftWhen } from "./parts";
import { say } from "@/words/generated/program";

/** What moves what besides, each with its reason. */
export function MixesPage() {
  const { draft } = useModel();
  const sheet = useProgramSheet(draft.present);
  const bench = useBench((state) => state.moment);
  const desk = useDesk(draft.present, bench);
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <Gallery />
        <Became />
        <div className="flex flex-wrap items-end justify-between gap-2">
          <AddButton part="MIX">
            <Plus aria-hidden size={16} /> {say("mixesPage.aBlankMix")}
          </AddButton>
          <UnitChoice />
        </div>
        {draft.present.mixes.map((mix, i) => (
          <MixCard
            key={mix.id}
            mix={mix}
            index={i}
            asCurve={sheet.data?.mixCurves[i] ?? []}
            reach={desk.data?.mixes.find((one) => one.mix === mix.id)}
            sources={sheet.data?.sources ?? []}
          />
        ))}
        {draft.present.mixes.length === 0 && (
          <p className="px-1 text-soft">{say("mixesPage.noMixYetEach")}</p>
        )}
        <TrimCurveCard />
      </div>
      <BenchBeside />
    </div>
  );
}

interface MixProps {
  mix: Mix;
  index: number;
  /** The mix as a curve, as the core has it. */
  asCurve: CurvePoint[];
  /** What it does at the ends of its source, as the bench shows it. */
  reach: MixEffect | undefined;
  /** What it can take its value from. */
  sources: Schemas["SourceChoice"][];
}

function MixCard({ mix, index, asCurve, reach, sources }: MixProps) {
  const { draft, change } = useModel();
  const worked = useWorked();
  const setup = draft.present;
  const at = ["mixes", index] as const;
  const set = (field: string, value: unknown, gesture?: string) =>
    change({ type: "edit", path: [...at, field], value, gesture });
  const targets = [
    ...setup.surfaces.map((one) => [one.id, one.name] as const),
    ...setup.airframe.motors.map((one) => [one.id, one.name] as const),
  ];
  const subjects = sources.find((one) => one.source === mix.source)?.subjects ?? [];
  const from = useMixSource();
  const source = (value: Mix["source"]) =>
    void worked(from.mutateAsync({ setup, mix: mix.id, source: value }));
  const pairOf = (i: number) =>
    setup.surfaces.find((one) => one.id === mix.targets[i]?.target)?.pair;
  const [apart, setApart] = useState(false);
  const targetsShown = targetRows(mix, setup.surfaces, reach, apart);
  const copy = useCopy();
  const copied = (what: "MIX" | "MIX_MIRRORED") =>
    void worked(copy.mutateAsync({ setup, what, from: mix.id, to: "" }));
  return (
    <Card
      title={mix.name}
      aside={
        <span className="flex items-center gap-1">
          <Button look="quiet" className="text-sm" onClick={() => copied("MIX")}>
            {say("mixesPage.copy")}
          </Button>
          <Button look="quiet" className="text-sm" onClick={() => copied("MIX_MIRRORED")}>
            {say("mixesPage.mirror")}
          </Button>
          <Button
            look="quiet"
            className="!px-2"
            aria-label={say("mixesPage.remove", { mix: mix.name })}
            onClick={() =>
              change({
                type: "edit",
                path: ["mixes"],
                value: setup.mixes.filter((_, other) => other !== index),
              })
            }
          >
            <X aria-hidden size={15} />
          </Button>
        </span>
      }
    >
      {copy.isError && <Failure error={copy.error} />}
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <DraftText path={[...at, "name"]} label={say("mixesPage.name")} />
        <Choice
          label={say("mixesPage.from")}
          value={mix.source}
          options={sources.map((one) => [one.source, one.name] as const)}
          onValue={source}
        />
        {subjects.length > 0 && (
          <DraftChoice
            path={[...at, "subject"]}
            label={say("mixesPage.which")}
            options={subjects.map((one) => [one.id, one.name] as const)}
          />
        )}
        <div className="col-span-2 sm:col-span-3">
          <DraftText path={[...at, "reason"]} label={say("mixesPage.reason")} />
        </div>
      </div>
      <div className="mt-3">
        {mix.curve.length > 0 ? (
          <>
            <CurveField
              points={mix.curve}
              label={say("mixesPage.curveOf", { mix: mix.name })}
              scales={{ x: mix.source === "THROTTLE" ? THROTTLE : COMMAND, y: COMMAND }}
              onPoints={(points, gesture) => set("curve", points, gesture)}
            />
            <Button look="quiet" className="mt-1 text-sm" onClick={() => set("curve", [])}>
              {say("mixesPage.useTwoWeightsInstead")}
            </Button>
          </>
        ) : (
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
            <DraftNumber path={[...at, "weightPlusPercent"]} />
            <DraftNumber path={[...at, "weightMinusPercent"]} />
            <div>
              <DraftNumber path={[...at, "startPercent"]} />
              <span className="text-xs">
                {say("mixesPage.aboutThe")} <Term name="start-point" />
              </span>
            </div>
            <Button className="self-center" onClick={() => set("curve", asCurve)}>
              {say("mixesPage.useACurve")}
            </Button>
          </div>
        )}
      </div>
      <div className="mt-3 flex items-center gap-2">
        <h3 className="text-sm font-semibold">{say("mixesPage.moves")}</h3>
        {(apart || targetsShown.some((one) => one.pair)) && (
          <Button look="quiet" className="!min-h-7 text-sm" onClick={() => setApart(!apart)}>
            {apart ? say("mixesPage.editPairsTogether") : say("mixesPage.editSeparately")}
          </Button>
        )}
      </div>
      <Where reach={reach} />
      <div className="mt-1 space-y-1.5">
        {targetsShown.map(({ at: i, name, pair }) => (
          <div
            key={`${i} ${mix.targets[i]?.target}`}
            className="grid grid-cols-2 items-start gap-2 sm:grid-cols-[1.4fr_1fr_1fr_2rem]"
          >
            <div className="col-span-2 sm:col-span-1">
              {pair ? (
                <p className="pt-6 font-medium">{name}</p>
              ) : (
                <DraftChoice
                  path={[...at, "targets", i, "target"]}
                  label={say("mixesPage.target")}
                  options={targets}
                />
              )}
            </div>
            <TargetEnds mix={mix} target={mix.targets[i]?.target ?? ""} pair={pair} reach={reach}>
              <DraftNumber path={[...at, "targets", i, "factor"]} />
              <DraftNumber path={[...at, "targets", i, "factorMinus"]} />
            </TargetEnds>
            {mix.targets.length > 1 && (
              <Button
                look="quiet"
                className="!px-2 sm:mt-5"
                aria-label={say("mixesPage.removeTarget", { name })}
                onClick={() =>
                  set(
                    "targets",
                    mix.targets.filter(
                      (one, other) => other !== i && !(pair && one.target === pairOf(i)),
                    ),
                  )
                }
              >
                <X aria-hidden size={15} />
              </Button>
            )}
          </div>
        ))}
      </div>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <Button onClick={() => set("targets", [...mix.targets, ...nextTargets(mix, setup)])}>
          <Plus aria-hidden size={16} /> {say("mixesPage.target")}
        </Button>
        <DraftWhen
          path={[...at, "when"]}
          label={say("mixesPage.activeWhile")}
          none={say("mixesPage.always")}
        />
        <DraftPhases path={[...at, "phases"]} />
        {mix.when !== "" && (
          <div className="w-40">
            <DraftNumber path={[...at, "fadeSeconds"]} />
          </div>
        )}
      </div>
    </Card>
  );
}

import { useState } from "react";
import type { Schemas } from "@/api/client";
import { useCopy, useMixSource } from "@/api/edits";
import { Plus, X } from "lucide-react";
import { type CurvePoint, type Mix, type MixEffect } from "@/api/program";
import { DraftChoice, DraftNumber, DraftText } from "@/features/model/fields";
import { COMMAND, THROTTLE } from "@/domain/scales";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { nextTargets, TargetEnds, targetRows, Where } from "./MixTargets";
import { CurveField } from "./CurveField";
import { Term } from "./Term";
import { DraftPhases, DraftWhen } from "./parts";
import { say } from "@/words/generated/program";

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

/** A mix: what it comes from, how much of it, what it moves, and when. */
export function MixCard({ mix, index, asCurve, reach, sources }: MixProps) {
  const { draft, change } = useModel();
  const worked = useWorked();
  const setup = draft.present;
  const at = ["mixes", index] as const;
  const set = (field: string, value: unknown, gesture?: string) =>
    change({ type: "edit", path: [...at, field], value, gesture });
  const subjects = sources.find((one) => one.source === mix.source)?.subjects ?? [];
  const from = useMixSource();
  const source = (value: Mix["source"]) =>
    void worked(from.mutateAsync({ setup, mix: mix.id, source: value }));
  const [apart, setApart] = useState(false);
  const targetsShown = targetRows(mix, setup.surfaces, reach, apart);
  const copy = useCopy();
  const copied = (what: "MIX" | "MIX_MIRRORED") =>
    void worked(copy.mutateAsync({ setup, what, from: mix.id, to: "" }));
  return (
    <Card title={mix.name} aside={<MixActions mix={mix} index={index} onCopy={copied} />}>
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
      <Weights mix={mix} index={index} asCurve={asCurve} set={set} />
      <div className="mt-3 flex items-center gap-2">
        <h3 className="text-sm font-semibold">{say("mixesPage.moves")}</h3>
        {(apart || targetsShown.some((one) => one.pair)) && (
          <Button look="quiet" className="!min-h-7 text-sm" onClick={() => setApart(!apart)}>
            {apart ? say("mixesPage.editPairs") : say("mixesPage.editSeparately")}
          </Button>
        )}
      </div>
      <Where reach={reach} />
      <div className="mt-1 space-y-1.5">
        {targetsShown.map((row) => (
          <TargetRow
            key={`${row.at} ${mix.targets[row.at]?.target}`}
            mix={mix}
            index={index}
            row={row}
            reach={reach}
            set={set}
          />
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

type Setting = (field: string, value: unknown, gesture?: string) => void;

/** Copies of a mix, and its end. */
function MixActions({ mix, index, onCopy }: ActionsProps) {
  const { draft, change } = useModel();
  const setup = draft.present;
  return (
    <span className="flex items-center gap-1">
      <Button look="quiet" className="text-sm" onClick={() => onCopy("MIX")}>
        {say("mixesPage.copy")}
      </Button>
      <Button look="quiet" className="text-sm" onClick={() => onCopy("MIX_MIRRORED")}>
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
  );
}

interface ActionsProps {
  mix: Mix;
  index: number;
  onCopy: (what: "MIX" | "MIX_MIRRORED") => void;
}

interface WeightsProps {
  mix: Mix;
  index: number;
  asCurve: CurvePoint[];
  set: Setting;
}

/** How much of its source it takes: two weights and a start point, or a curve. */
function Weights({ mix, index, asCurve, set }: WeightsProps) {
  const at = ["mixes", index] as const;
  return (
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
            {say("mixesPage.useWeights")}
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
            {say("mixesPage.useCurve")}
          </Button>
        </div>
      )}
    </div>
  );
}

interface RowProps {
  mix: Mix;
  index: number;
  row: ReturnType<typeof targetRows>[number];
  reach: MixEffect | undefined;
  set: Setting;
}

/** One surface, pair or motor a mix moves, and how far at both ends. */
function TargetRow({ mix, index, row, reach, set }: RowProps) {
  const setup = useModel().draft.present;
  const at = ["mixes", index] as const;
  const { at: i, name, pair } = row;
  const targets = [
    ...setup.surfaces.map((one) => [one.id, one.name] as const),
    ...setup.airframe.motors.map((one) => [one.id, one.name] as const),
  ];
  const pairOf = (i: number) =>
    setup.surfaces.find((one) => one.id === mix.targets[i]?.target)?.pair;
  return (
    <div className="grid grid-cols-2 items-start gap-2 sm:grid-cols-[1.4fr_1fr_1fr_2rem]">
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
  );
}

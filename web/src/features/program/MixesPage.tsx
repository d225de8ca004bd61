import type { Schemas } from "@/api/client";
import { useMixSource } from "@/api/edits";
import { Plus, X } from "lucide-react";
import { useProgramSheet, type CurvePoint, type Mix } from "@/api/program";
import { DraftChoice, DraftNumber, DraftText } from "@/features/model/fields";
import { travel } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { BenchBeside } from "./BenchBeside";
import { CurveField } from "./CurveField";
import { Gallery } from "./Gallery";
import { TrimCurveCard } from "./TrimCurveCard";
import { Term } from "./Term";
import { DraftPhases, DraftWhen } from "./parts";

/** What moves what besides, each with its reason. */
export function MixesPage() {
  const { draft } = useModel();
  const sheet = useProgramSheet(draft.present);
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <Gallery />
        {draft.present.mixes.map((mix, i) => (
          <MixCard
            key={mix.id}
            mix={mix}
            index={i}
            asCurve={sheet.data?.mixCurves[i] ?? []}
            reach={sheet.data?.mixReach[i] ?? []}
            sources={sheet.data?.sources ?? []}
          />
        ))}
        {draft.present.mixes.length === 0 && (
          <p className="px-1 text-soft">No mix yet: sticks move their surfaces and nothing else.</p>
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
  /** What it does to each target, mm. */
  reach: { target: string; plusMm: number; minusMm: number }[];
  /** What it can take its value from. */
  sources: Schemas["SourceChoice"][];
}

function MixCard({ mix, index, asCurve, reach, sources }: MixProps) {
  const { draft, change } = useModel();
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
    from.mutate(
      { setup, mix: mix.id, source: value },
      { onSuccess: (changed) => change({ type: "replace", from: draft.present, setup: changed }) },
    );
  return (
    <Card
      title={mix.name}
      aside={
        <Button
          look="quiet"
          className="!px-2"
          aria-label={`Remove ${mix.name}`}
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
      }
    >
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        <DraftText path={[...at, "name"]} label="Name" />
        <Choice
          label="From"
          value={mix.source}
          options={sources.map((one) => [one.source, one.name] as const)}
          onValue={source}
        />
        {subjects.length > 0 && (
          <DraftChoice
            path={[...at, "subject"]}
            label="Which"
            options={subjects.map((one) => [one.id, one.name] as const)}
          />
        )}
        <div className="col-span-2 sm:col-span-3">
          <DraftText path={[...at, "reason"]} label="Reason" />
        </div>
      </div>
      <div className="mt-3">
        {mix.curve.length > 0 ? (
          <>
            <CurveField
              points={mix.curve}
              label={`Curve of ${mix.name}`}
              onPoints={(points, gesture) => set("curve", points, gesture)}
            />
            <Button look="quiet" className="mt-1 text-sm" onClick={() => set("curve", [])}>
              Two weights instead of a curve
            </Button>
          </>
        ) : (
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
            <DraftNumber path={[...at, "weightPlusPercent"]} />
            <DraftNumber path={[...at, "weightMinusPercent"]} />
            <div>
              <DraftNumber path={[...at, "startPercent"]} />
              <span className="text-xs">
                About the <Term name="start-point" />
              </span>
            </div>
            <Button className="self-center" onClick={() => set("curve", asCurve)}>
              Make it a curve
            </Button>
          </div>
        )}
      </div>
      <h3 className="mt-3 text-sm font-semibold">Moves</h3>
      <ul className="mt-1 grid gap-2 sm:grid-cols-2">
        {mix.targets.map((target, i) => (
          <li key={i} className="flex items-end gap-2">
            <div className="flex-1 pb-[1.05rem]">
              <DraftChoice
                path={[...at, "targets", i, "target"]}
                label="Target"
                options={targets}
              />
            </div>
            <div className="w-32">
              <DraftNumber path={[...at, "targets", i, "factor"]} />
            </div>
            <Reach one={reach.find((each) => each.target === target.target)} />
            {mix.targets.length > 1 && (
              <Button
                look="quiet"
                className="mb-[1.05rem] !px-2"
                aria-label={`Remove target ${i + 1}`}
                onClick={() =>
                  set(
                    "targets",
                    mix.targets.filter((__, other) => other !== i),
                  )
                }
              >
                <X aria-hidden size={15} />
              </Button>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap items-end gap-4">
        <Button
          onClick={() =>
            set("targets", [...mix.targets, { target: targets[0]?.[0] ?? "", factor: 1 }])
          }
        >
          <Plus aria-hidden size={16} /> Target
        </Button>
        <DraftWhen path={[...at, "when"]} label="Active while" none="always" />
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

/** What a mix does to a surface at both ends of its source. */
function Reach({ one }: { one: MixProps["reach"][number] | undefined }) {
  const { draft } = useModel();
  const surface = draft.present.surfaces.find((each) => each.id === one?.target);
  return one === undefined || surface === undefined ? null : (
    <p className="figures w-24 pb-[1.05rem] text-xs text-soft" data-reach={one.target}>
      {travel(one.minusMm, surface)}
      <br />
      {travel(one.plusMm, surface)}
    </p>
  );
}

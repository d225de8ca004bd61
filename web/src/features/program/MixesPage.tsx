import { Plus } from "lucide-react";
import { useMovements, useProgramSheet } from "@/api/program";
import { useBench } from "@/features/bench/store";
import { AddButton } from "@/features/model/edits";
import { useModel } from "@/features/model/model";
import { Became } from "./Became";
import { UnitChoice } from "./MovementField";
import { BenchBeside } from "@/features/bench/BenchBeside";
import { Gallery } from "./Gallery";
import { MixCard } from "./MixCard";
import { TrimCurveCard } from "./TrimCurveCard";
import { say } from "@/words/generated/program";

/** What moves what besides, each with its reason. */
export function MixesPage() {
  const { draft } = useModel();
  const sheet = useProgramSheet(draft.present);
  const bench = useBench((state) => state.moment);
  const movements = useMovements(draft.present, bench);
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <Gallery />
        <Became />
        <div className="flex flex-wrap items-end justify-between gap-2">
          <AddButton part="MIX">
            <Plus aria-hidden size={16} /> {say("mixesPage.blank")}
          </AddButton>
          <UnitChoice />
        </div>
        {draft.present.mixes.map((mix, i) => (
          <MixCard
            key={mix.id}
            mix={mix}
            index={i}
            asCurve={sheet.data?.mixCurves[i] ?? []}
            reach={movements.data?.mixes.find((one) => one.mix === mix.id)}
            sources={sheet.data?.sources ?? []}
          />
        ))}
        {draft.present.mixes.length === 0 && (
          <p className="px-1 text-soft">{say("mixesPage.none")}</p>
        )}
        <TrimCurveCard />
      </div>
      <BenchBeside />
    </div>
  );
}

import type { Plan, PlannedRod } from "@/api/queries";
import type { PlanOptions } from "@/api/history";
import { size, travelWords, sizeOf } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Choice } from "@/ui/choice";
import { TurnDrawing } from "./TurnDrawing";
import { say } from "@/words/generated/adjustment";

interface Props {
  rod: PlannedRod;
  ways: Plan["ways"];
  wish: PlanOptions;
  onWish: (wish: PlanOptions) => void;
}

/** One rod of the plan, and the other ways to do it. */
export function RodRow({ rod, ways, wish, onWish }: Props) {
  const { draft } = useModel();
  const way = draft.present.surfaces.find((one) => one.id === rod.surface) ?? false;
  const choose = (picked: string) => {
    const means = ways[Number(picked)]?.means;
    const others = wish.means.filter((one) => one.surface !== rod.surface);
    onWish({ ...wish, means: means == null ? others : [...others, means] });
  };
  return (
    <li
      data-rod={rod.surface}
      className={`grid gap-x-6 gap-y-1 border-t border-line py-3 first:border-0 sm:grid-cols-[auto_1fr_auto] ${rod.steps === 0 ? "text-soft" : ""}`}
    >
      <div>
        <p className={rod.steps === 0 ? "" : "text-lg font-semibold"}>{rod.sentence}</p>
        {ways.length > 0 && (
          <div className="mt-2 max-w-80">
            <Choice
              label={say("rodRow.method")}
              value={String(ways.findIndex((one) => one.chosen))}
              options={ways.map((one, i) => [String(i), one.words] as const)}
              onValue={choose}
            />
          </div>
        )}
      </div>
      <p className="figures text-sm text-soft sm:text-right">
        {rod.steps !== 0 && (
          <>
            {say("rodRow.sizeOf", {
              sizeOf: sizeOf(rod.appliedMm, 2),
              appliedMm: rod.appliedMm > 0,
              size: size(rod.turnsExact, 2),
            })}
            <br />
          </>
        )}
        {say("rodRow.edgeMoves", {
          travel: travelWords(rod.todayMm, way),
          travelOther: travelWords(rod.afterMm, way),
          travelThird: travelWords(rod.targetMm, way),
        })}
      </p>
      {rod.steps !== 0 && (
        <div className="sm:order-first sm:row-span-2 [&_figure]:w-40">
          <TurnDrawing rod={rod} way={way} />
        </div>
      )}
    </li>
  );
}

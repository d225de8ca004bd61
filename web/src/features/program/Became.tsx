import { useMovements, type MovementSheet } from "@/api/program";
import { useMovement } from "@/api/edits";
import { useBench } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/program";

type One = MovementSheet["became"][number];

/** Movements that were typed and have become others, since a hole, an arm or a rod was changed. */
export function Became() {
  const { draft } = useModel();
  const worked = useWorked();
  const bench = useBench((state) => state.moment);
  const movements = useMovements(draft.present, bench);
  const move = useMovement();
  const list = movements.data?.became ?? [];
  const set = (one: One, value: number, unit: One["typed"]["unit"]) =>
    void worked(
      move.mutateAsync({
        setup: draft.present,
        moment: one.moment,
        wish: {
          kind: one.typed.kind,
          subject: one.typed.subject,
          surface: one.typed.surface,
          plusSide: one.typed.plusSide,
          value,
          minusWay: false,
          unit,
          pair: false,
          bothSides: false,
        },
      }),
    );
  return list.length === 0 ? null : (
    <section
      className="space-y-2 border-l-4 border-tag bg-inset px-3 py-2 text-sm"
      aria-label={say("became.title")}
    >
      {list.map((one, i) => (
        <div key={i} className="flex flex-wrap items-center gap-2" data-became={one.typed.kind}>
          <p className="flex-1">{one.words}</p>
          <Button
            disabled={move.isPending}
            onClick={() => set(one, one.typed.value, one.typed.unit)}
          >
            {say("became.keepMovement")}
          </Button>
          <Button disabled={move.isPending} onClick={() => set(one, one.percent, "PERCENT")}>
            {say("became.keepPercent")}
          </Button>
        </div>
      ))}
      {move.isError && <Failure error={move.error} />}
    </section>
  );
}

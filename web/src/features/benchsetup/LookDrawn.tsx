import type { ProbeTold } from "@/api/rig";
import { RearView } from "@/features/bench/RearView";
import { useBench, useBenchStore } from "@/features/bench/store";
import { useWidth } from "@/ui/width";
import { say } from "@/words/generated/benchsetup";

type Look = NonNullable<ProbeTold["next"]>["look"];

const TALLEST = 230;

/** So far a trailing edge goes when a channel is clicked by itself. */
const NUDGED_MM: Record<string, number> = { "1": 3, "0": 0, "-1": -3 };

/**
 * The model from behind as it must look: as the bench has it for sticks, levers and switches; by
 * the picture of the look where a channel is clicked or unplugged, which no stick can do.
 */
export function LookDrawn({ look }: { look: Look }) {
  const store = useBenchStore();
  const setup = useBench((state) => state.setup);
  const frame = useBench((state) => state.frame);
  const selected = useBench((state) => state.selected);
  const [box, width] = useWidth();
  const drawn = (mm: number, i: number) => {
    const way = look.picture[i]?.way ?? 0;
    if (look.kind === "NUDGE") {
      return NUDGED_MM[way] ?? 0;
    }
    return look.kind === "UNPLUG" && way === 0 ? 0 : mm;
  };
  return (
    <div ref={box} className="mm-paper my-3 overflow-hidden rounded-card border border-line">
      {setup === undefined || frame === undefined ? (
        <p className="p-6 text-soft">{say("ways.starting")}</p>
      ) : (
        <RearView
          width={width}
          tallest={TALLEST}
          setup={setup}
          travelMm={frame.positions.travelMm.map(drawn)}
          degrees={frame.positions.surfaceDegrees}
          selected={selected}
          onSelect={(id) => store.select(id)}
        />
      )}
    </div>
  );
}

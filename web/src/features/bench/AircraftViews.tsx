import { useWidth } from "@/ui/width";
import { RearView } from "./RearView";
import { useBench, useBenchStore } from "./store";
import { TopView } from "./TopView";
import type { View } from "./view";
import { say } from "@/words/generated/bench";

const TALLEST_BEHIND = { compact: 96, whole: 190 };
const TALLEST_ABOVE = 300;

/** The live model, from behind and from above. */
export function AircraftViews({ compact = false }: { compact?: boolean }) {
  const store = useBenchStore();
  const setup = useBench((state) => state.setup);
  const frame = useBench((state) => state.frame);
  const selected = useBench((state) => state.selected);
  const [box, width] = useWidth();
  const ready = setup !== undefined && frame !== undefined;
  const view: View | undefined = ready
    ? {
        width,
        tallest: compact ? TALLEST_BEHIND.compact : TALLEST_BEHIND.whole,
        setup,
        travelMm: frame.positions.travelMm,
        degrees: frame.positions.surfaceDegrees,
        selected,
        onSelect: (id) => store.select(id),
      }
    : undefined;
  return (
    <div
      ref={box}
      className="mm-paper overflow-hidden rounded-card border border-line"
      data-frame={frame?.number}
    >
      {view === undefined ? (
        <p className="p-6 text-soft">{say("aircraftViews.starting")}</p>
      ) : (
        <>
          <RearView {...view} />
          {!compact && <TopView {...view} tallest={TALLEST_ABOVE} />}
        </>
      )}
    </div>
  );
}

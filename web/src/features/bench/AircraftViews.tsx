import { RearView } from "./RearView";
import { TopView } from "./TopView";
import type { View } from "./view";
import { useBench, useBenchStore } from "./store";

const WIDTH = 620;
/** Beside an editor the drawing is small, so its figures are larger against it. */
const COMPACT_WIDTH = 430;
/** The live model, from behind and from above. */
export function AircraftViews({ compact = false }: { compact?: boolean }) {
  const store = useBenchStore();
  const setup = useBench((state) => state.setup);
  const frame = useBench((state) => state.frame);
  const selected = useBench((state) => state.selected);
  if (setup === undefined || frame === undefined) {
    return <p className="p-6 text-soft">The bench is being set up …</p>;
  }
  const view: View = {
    width: compact ? COMPACT_WIDTH : WIDTH,
    setup,
    travelMm: frame.positions.travelMm,
    degrees: frame.positions.surfaceDegrees,
    selected,
    onSelect: (id) => store.select(id),
  };
  return (
    <div
      className="mm-paper overflow-hidden rounded-card border border-line"
      data-frame={frame.number}
    >
      <RearView {...view} />
      {!compact && <TopView {...view} />}
    </div>
  );
}

import { signed, wayWords } from "@/domain/words";
import { useBench } from "@/features/bench/store";
import { useModel } from "./model";

const W = 560;
const H = 150;
const PAD = { left: 44, right: 12, top: 10, bottom: 22 };

/** Travel against the driver's angle; the downward half is folded up, dashed, to be held against it. */
export function TravelPlot({ index }: { index: number }) {
  const { draft } = useModel();
  const sheet = useBench((state) => state.sheets[index]);
  const here = useBench((state) => state.frame?.linkage);
  const mm = useBench((state) => state.frame?.positions.travelMm[index]);
  const surface = draft.present.surfaces[index];
  if (sheet === undefined || surface === undefined) {
    return null;
  }
  const most = Math.max(1, ...sheet.sweep.map((stop) => Math.abs(stop.mm))) * 1.05;
  const widest = Math.max(1, ...sheet.sweep.map((stop) => Math.abs(stop.driverDegrees)));
  const x = (degrees: number) =>
    PAD.left + ((degrees + widest) / (2 * widest)) * (W - PAD.left - PAD.right);
  const y = (mm: number) => PAD.top + ((most - mm) / (2 * most)) * (H - PAD.top - PAD.bottom);
  const line = (turn: 1 | -1, keep: (mm: number) => boolean) =>
    sheet.sweep
      .filter((stop) => keep(stop.mm))
      .map((stop) => `${x(turn * stop.driverDegrees).toFixed(1)},${y(turn * stop.mm).toFixed(1)}`)
      .join(" ");
  const [up, down] = wayWords(surface);
  const tick = Math.round(most / 1.05);
  return (
    <figure className="mt-3">
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="mm-paper block w-full rounded-card border border-line"
        role="img"
        aria-label={`Travel against the driver's angle, ${signed(sheet.sweep[0]?.mm ?? 0, 1)} to ${signed(sheet.sweep.at(-1)?.mm ?? 0, 1)} mm`}
      >
        <path
          d={`M${x(-widest)} ${y(0)}H${x(widest)}M${x(0)} ${y(most)}V${y(-most)}`}
          stroke="var(--line-strong)"
        />
        {[tick, -tick].map((mm) => (
          <text
            key={mm}
            x={PAD.left - 6}
            y={y(mm) + 4}
            fontSize={12}
            textAnchor="end"
            fill="var(--soft)"
            className="figures"
          >
            {signed(mm, 0)}
          </text>
        ))}
        <text x={W - PAD.right} y={H - 7} fontSize={12} textAnchor="end" fill="var(--soft)">
          driver −{widest.toFixed(0)}° to +{widest.toFixed(0)}°
        </text>
        <polyline
          points={line(-1, (mm) => mm < 0)}
          fill="none"
          stroke="var(--minus)"
          strokeWidth={2}
          strokeDasharray="5 4"
        />
        <polyline points={line(1, () => true)} fill="none" stroke="var(--ink)" strokeWidth={2.5} />
        {here !== undefined && mm !== undefined && (
          <circle
            cx={x(here.driverDegrees)}
            cy={y(mm)}
            r={6}
            fill="var(--tag)"
            stroke="var(--ink)"
            strokeWidth={2}
          />
        )}
      </svg>
      <figcaption className="mt-1 text-xs text-soft">
        Travel in mm over the {surface.rod.driver === "SERVO" ? "arm" : "driving surface"}; dashed:{" "}
        {down} laid over {up}. A tenth of a millimetre of slop is{" "}
        <b className="figures text-ink">{sheet.slopMm.toFixed(2)} mm</b> here; one microsecond of
        pulse moves <b className="figures text-ink">{sheet.mmPerMicrosecond.toFixed(3)} mm</b>.
      </figcaption>
    </figure>
  );
}

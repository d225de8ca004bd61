import type { Schemas } from "@/api/client";
import { useSettling } from "@/api/queries";
import { clickWords, controlName, day, keyOf, type Control } from "@/domain/words";
import { useModel } from "@/features/aircraft/model";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";

type Series = Schemas["TrimSeries"];
type Point = Series["points"][number];

const STATES = {
  SETTLED: ["settled", "text-done"],
  NOT_YET: ["not yet", "text-soft"],
  SUSPICIOUS: ["suspicious", "text-grounded"],
} as const;

/** Which trims have settled, drawn over the flights, with what broke each series. */
export function SettlingCard() {
  const { standing, draft } = useModel();
  const sheet = useSettling(standing.id);
  if (sheet.data === undefined) {
    return sheet.isError ? <Failure error={sheet.error} /> : null;
  }
  const flown = sheet.data.series.filter((one) => one.points.length > 0);
  return flown.length === 0 ? null : (
    <Card title="Have the trims settled?" className="overflow-hidden">
      <ul className="grid gap-x-6 gap-y-4 md:grid-cols-2">
        {flown.map((one) => {
          const phase = draft.present.phases.find((each) => each.id === one.phase);
          const key = keyOf(one.control as Control);
          const [word, look] = STATES[one.state];
          return (
            <li key={one.phase + one.control} data-series={`${one.phase} ${one.control}`}>
              <p className="flex flex-wrap items-baseline gap-x-2">
                <strong>
                  {draft.present.phases.length > 1 && `${phase?.name ?? one.phase}, `}
                  {controlName(key).toLowerCase()}
                </strong>
                <span className={`font-semibold ${look}`} data-state={one.state}>
                  {word}
                </span>
                <span className="figures text-sm">{clickWords(key, one.clicks)}</span>
              </p>
              <Plot points={one.points} />
              <p className="text-sm text-soft">{one.words}</p>
            </li>
          );
        })}
      </ul>
    </Card>
  );
}

const W = 320;
const H = 84;

/** Clicks over flights; what counts is filled, what does not is hollow, the reason at hand. */
function Plot({ points }: { points: Point[] }) {
  const shown = points.slice(-12);
  const values = shown.map((one) => one.clicks);
  const top = Math.max(2, ...values) + 1;
  const low = Math.min(-2, ...values) - 1;
  const x = (i: number) => 30 + (shown.length < 2 ? 0 : (i / (shown.length - 1)) * (W - 46));
  const y = (clicks: number) => 8 + ((top - clicks) / (top - low)) * (H - 16);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="mm-paper my-1 block w-full rounded-card border border-line"
      role="img"
      aria-label={shown
        .map((one) => `${day(one.flownOn)}: ${one.clicks}${one.counts ? "" : `, ${one.why}`}`)
        .join("; ")}
    >
      <path d={`M26 ${y(0)}H${W - 6}`} stroke="var(--line-strong)" />
      <text x={4} y={y(0) + 4} fontSize={11} fill="var(--soft)">
        0
      </text>
      {shown.map((one, i) => {
        const before = shown[i - 1];
        const broken = before !== undefined && before.counts !== one.counts;
        return (
          <g key={one.flight}>
            {before !== undefined && (
              <line
                x1={x(i - 1)}
                y1={y(before.clicks)}
                x2={x(i)}
                y2={y(one.clicks)}
                stroke="var(--soft)"
                strokeDasharray={before.counts && one.counts ? undefined : "3 4"}
              />
            )}
            {broken && (
              <path
                d={`M${(x(i - 1) + x(i)) / 2} 6V${H - 6}`}
                stroke="var(--grounded)"
                strokeDasharray="5 3"
              />
            )}
            <circle
              cx={x(i)}
              cy={y(one.clicks)}
              r={5}
              fill={one.counts ? "var(--brand)" : "var(--sheet)"}
              stroke="var(--brand)"
              strokeWidth={2}
            >
              <title>{`${day(one.flownOn)}: ${one.clicks}${one.why === "" ? "" : `, ${one.why}`}`}</title>
            </circle>
          </g>
        );
      })}
    </svg>
  );
}

import type { Schemas } from "@/api/client";
import { useSettling } from "@/api/queries";
import { clickWords, controlName, day, keyOf, type Control } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Card } from "@/ui/card";
import { Chart } from "@/ui/chart";
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

const SHOWN = 12;

/** Clicks over flights; what counts is filled, what does not is hollow, the reason at hand. */
function Plot({ points }: { points: Point[] }) {
  const shown = points.slice(-SHOWN);
  const words = (one: Point) =>
    `${day(one.flownOn)}: ${one.clicks}${one.why === "" ? "" : `, ${one.why}`}`;
  const line = {
    name: "Clicks",
    xs: shown.map((_, i) => i),
    ys: shown.map((one) => one.clicks),
    ink: "var(--soft)",
    dot: (i: number) => ({
      fill: shown[i]?.counts ? "var(--brand)" : "var(--sheet)",
      words: words(shown[i] as Point),
    }),
  };
  return (
    <Chart
      lines={[line]}
      label={shown.map(words).join("; ")}
      xLabel=""
      yLabel=""
      height={104}
      legend={false}
      breaks={shown.flatMap((one, i) => (i > 0 && shown[i - 1]?.counts !== one.counts ? [i] : []))}
    />
  );
}

import { Link } from "react-router";
import { useStory, type TrimSeries } from "@/api/history";
import {
  clickWords,
  CONTROL_WORDS,
  dayAndFlight,
  keyOf,
  signed,
  type Control,
} from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Card } from "@/ui/card";
import { Chart } from "@/ui/chart";
import { Explained } from "@/ui/explained";
import { Failure } from "@/ui/message";
import { SignAsked } from "./SignAsked";
import { MarkSettled } from "./MarkSettled";
import { say } from "@/words/generated/flightlog";

type Point = TrimSeries["points"][number];

const STATES = {
  SETTLED: [say("settlingCard.settled"), "text-done"],
  NOT_YET: [say("settlingCard.notYet"), "text-soft"],
  DRIFTING: [say("settlingCard.drifting"), "text-grounded"],
  OPPOSITE: [say("settlingCard.wrongSign"), "text-grounded"],
  TOO_LARGE: [say("settlingCard.aSymptom"), "text-grounded"],
} as const;

/** The verdict of every phase and control, drawn over the flights, with what broke each series. */
export function SettlingCard() {
  const { standing } = useModel();
  const story = useStory(standing.id);
  if (story.data === undefined) {
    return story.isError ? <Failure error={story.error} /> : null;
  }
  const flown = story.data.series.filter((one) => one.points.length > 0);
  return flown.length === 0 ? null : (
    <Card
      title={say("settlingCard.title")}
      aside={<Explained term="settled" />}
      className="overflow-hidden"
    >
      {story.data.turn.length > 0 && (
        <p className="mb-3">
          <Link to="../adjust" relative="path" className="underline underline-offset-2">
            {story.data.waiting}
          </Link>
        </p>
      )}
      <ul className="grid gap-x-6 gap-y-4 md:grid-cols-2">
        {flown.map((one) => (
          <li key={one.phase + one.control} data-series={`${one.phase} ${one.control}`}>
            <Verdict series={one} />
          </li>
        ))}
      </ul>
    </Card>
  );
}

function Verdict({ series }: { series: TrimSeries }) {
  const { draft } = useModel();
  const phase = draft.present.phases.find((each) => each.id === series.phase);
  const key = keyOf(series.control as Control);
  const [word, look] = STATES[series.state];
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-2">
        <strong>
          {draft.present.phases.length > 1 && `${phase?.name ?? series.phase}, `}
          {CONTROL_WORDS[key]}
        </strong>
        <span className={`font-semibold ${look}`} data-state={series.state}>
          {word}
        </span>
        {series.agreeing > 0 && (
          <span className="figures text-sm">{clickWords(key, series.clicks)}</span>
        )}
      </p>
      <Plot points={series.points} />
      <p className="text-sm text-soft">{series.words}</p>
      {series.notes.map((note) => (
        <p key={note} className="text-sm">
          {note}
        </p>
      ))}
      {series.asked !== 0 && <SignAsked series={series} />}
      {series.asked === 0 && <MarkSettled series={series} />}
    </>
  );
}

const SHOWN = 12;

/** Clicks over flights; what counts is filled, what does not is hollow, the reason at hand. */
function Plot({ points }: { points: Point[] }) {
  const shown = points.slice(-SHOWN);
  const words = (one: Point) =>
    `${dayAndFlight(one.flownOn, one.ofDay)}: ${signed(one.clicks, 0)}${one.why === "" ? "" : `, ${one.why}`}`;
  const line = {
    name: say("settlingCard.clicks"),
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
      breaks={shown.flatMap((one, i) => (i > 0 && shown[i - 1]?.agrees !== one.agrees ? [i] : []))}
    />
  );
}

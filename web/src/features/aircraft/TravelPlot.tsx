import { inLength, length, lengthSign } from "@/domain/reader";
import { useMemo } from "react";
import { wayWords, signedLength } from "@/domain/words";
import { useBench, type Sheet } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { Chart } from "@/ui/chart";
import type { Line } from "@/ui/chart-look";
import { Say, say } from "@/words/generated/aircraft";

type Stop = Sheet["sweep"][number];

/** The whole way, and its downward half folded up. */
function travelLines(sweep: Stop[]): Line[] {
  const line = (stops: Stop[], turn: 1 | -1) => ({
    xs: stops.map((stop) => turn * stop.driverDegrees),
    ys: stops.map((stop) => inLength(turn * stop.mm)),
  });
  const down = sweep.filter((stop) => stop.mm < 0);
  return [
    { name: say("travelPlot.travel"), ...line(sweep, 1) },
    { name: say("travelPlot.folded"), ...line(down, -1), ink: "var(--minus)", dash: "5 4" },
  ];
}

/** Travel against the driver's angle; the downward half is folded up, dashed, to be held against it. */
export function TravelPlot({ index }: { index: number }) {
  const { draft } = useModel();
  const sheet = useBench((state) => state.sheets[index]);
  const here = useBench((state) => state.frame?.linkage);
  const mm = useBench((state) => state.frame?.positions.travelMm[index]);
  const surface = draft.present.surfaces[index];
  const lines = useMemo(() => travelLines(sheet?.sweep ?? []), [sheet]);
  if (sheet === undefined || surface === undefined) {
    return null;
  }
  const [up, down] = wayWords(surface);
  const widest = Math.max(1, ...sheet.sweep.map((stop) => Math.abs(stop.driverDegrees)));
  return (
    <figure className="mt-3">
      <Chart
        lines={lines}
        label={say("travelPlot.picture", {
          signedLength: signedLength(sheet.sweep[0]?.mm ?? 0, 1),
          signedLengthOther: signedLength(sheet.sweep.at(-1)?.mm ?? 0, 1),
          lengthSign: lengthSign(),
        })}
        xLabel={say("travelPlot.driverTo", { widest: widest.toFixed(0) })}
        yLabel=""
        height={160}
        legend={false}
        at={
          here !== undefined && mm !== undefined
            ? { x: here.driverDegrees, y: inLength(mm) }
            : undefined
        }
      />
      <figcaption className="mt-1 text-xs text-soft">
        <Say
          id="travelPlot.legend"
          values={{
            lengthSign: lengthSign(),
            driver: surface.rod.driver === "SERVO",
            down,
            up,
            b: <b className="figures text-ink">{length(sheet.slopMm, 2)}</b>,
            bOther: <b className="figures text-ink">{length(sheet.mmPerMicrosecond, 3)}</b>,
          }}
        />
      </figcaption>
    </figure>
  );
}

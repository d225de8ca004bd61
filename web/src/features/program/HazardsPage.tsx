import { Play, Square, TriangleAlert } from "lucide-react";
import { useHazardSearch, type Hazard } from "@/api/program";
import { useModel } from "@/features/aircraft/model";
import { useBenchStore } from "@/features/bench/store";
import { Button } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { Failure } from "@/ui/message";
import { BenchBeside } from "./BenchBeside";

const PLAY_MS = 1200;

/** Every position of every switch tried: what a pilot would only find in the air. */
export function HazardsPage() {
  const { draft } = useModel();
  const search = useHazardSearch(draft.present);
  const outcome = search.state?.outcome;
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <Card title="What every switch can do">
          {search.error !== null && <Failure error={search.error} />}
          {outcome == null ? (
            <div className="flex flex-wrap items-center gap-3">
              <label className="flex flex-1 items-center gap-2 text-soft">
                Trying every position …
                <progress max={1} value={search.state?.part ?? 0} className="h-3 flex-1" />
              </label>
              <Button onClick={search.stop}>
                <Square aria-hidden size={14} /> Stop
              </Button>
            </div>
          ) : (
            <p data-outcome={outcome.hazards.length}>
              {outcome.states.toLocaleString("en-GB")} positions of switches and stretches of
              levers, each with every single flick from there, sticks and levers anywhere:{" "}
              {outcome.sampled === 0
                ? "proven by bounds, nothing sampled. "
                : `bounded, in ${outcome.sampled} of them tried in the corners. `}
              {!outcome.complete && <strong>Stopped before the end. </strong>}
              {outcome.hazards.length === 0 ? (
                <strong className="text-done">Nothing was found.</strong>
              ) : (
                <strong className="text-grounded">
                  {outcome.hazards.length} {outcome.hazards.length === 1 ? "hazard" : "hazards"}.
                </strong>
              )}
            </p>
          )}
        </Card>
        {outcome?.hazards.map((hazard) => (
          <HazardCard key={hazard.kind + hazard.subject} hazard={hazard} />
        ))}
        <Caution>
          This is arithmetic on what is written here. Prove cut, failsafe and directions on the real
          model, motor harmless, before it flies.
        </Caution>
      </div>
      <BenchBeside />
    </div>
  );
}

function HazardCard({ hazard }: { hazard: Hazard }) {
  const store = useBenchStore();
  const play = () =>
    hazard.moments.forEach((moment, i) => setTimeout(() => store.move(moment), i * PLAY_MS));
  return (
    <Card className="!p-3">
      <div data-hazard={hazard.kind} className="flex gap-3">
        <TriangleAlert aria-hidden size={20} className="mt-0.5 shrink-0 text-grounded" />
        <div className="flex-1">
          <p className="font-semibold">{hazard.words}</p>
          <p className="text-sm text-soft">{hazard.why}</p>
          {hazard.way.length > 0 && (
            <p className="mt-1 text-sm">
              The way there: <span className="font-medium">{hazard.way.join(" · ")}</span>
            </p>
          )}
        </div>
        {hazard.moments.length > 0 && (
          <Button className="self-start" onClick={play}>
            <Play aria-hidden size={15} /> Show it on the bench
          </Button>
        )}
      </div>
    </Card>
  );
}

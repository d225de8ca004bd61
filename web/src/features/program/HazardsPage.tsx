import { Play, Square, TriangleAlert } from "lucide-react";
import { many } from "@/domain/reader";
import { useHazardSearch, type Hazard, type Outcome } from "@/api/program";
import { useHasMotor, useModel } from "@/features/model/model";
import { useBenchStore } from "@/features/bench/store";
import { Accept, Reopen } from "@/features/bench/Accepting";
import { MendsOf } from "@/features/bench/MendsOf";
import { Button } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { Failure } from "@/ui/message";
import { PartDone } from "@/ui/part-done";
import { BenchBeside } from "@/features/bench/BenchBeside";
import { Say, say } from "@/words/generated/program";

/** Every position of every switch tried: what a pilot would only find in the air. */
export function HazardsPage() {
  const { draft } = useModel();
  const motor = useHasMotor();
  const search = useHazardSearch(draft.present);
  const outcome = search.state?.outcome;
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <Card title={say("hazardsPage.switchCheck")}>
          {search.error !== null && <Failure error={search.error} />}
          {search.state?.end == null ? (
            <div className="flex flex-wrap items-center gap-3">
              <PartDone label={say("hazardsPage.checking")} done={search.state?.part ?? 0} />
              <Button onClick={search.stop}>
                <Square aria-hidden size={14} /> {say("hazardsPage.stop")}
              </Button>
            </div>
          ) : (
            <Ended end={search.state.end} outcome={outcome ?? undefined} again={search.again} />
          )}
        </Card>
        {outcome?.hazards.map((hazard) => (
          <HazardCard key={hazard.kind + hazard.subject} hazard={hazard} />
        ))}
        <Caution>{say("hazardsPage.limits", { motor })}</Caution>
      </div>
      <BenchBeside />
    </div>
  );
}

const ENDS = {
  WHOLE: "",
  STOPPED: say("hazardsPage.stopped"),
  LEFT_ALONE: say("hazardsPage.pageClosed"),
  TOO_LARGE: say("hazardsPage.tooMuch"),
  FAILED: say("hazardsPage.failed"),
} as const;

interface EndedProps {
  end: keyof typeof ENDS;
  outcome: Outcome | undefined;
  again: () => void;
}

/** What came of the search, and what of it is proven. */
function Ended({ end, outcome, again }: EndedProps) {
  const whole = end === "WHOLE";
  const hazards = outcome?.hazards ?? [];
  const open = hazards.filter((one) => one.acceptedBecause === "").length;
  const accepted = hazards.filter((one) => one.acceptedBecause !== "").length;
  return (
    <div className="space-y-2" data-outcome={outcome && open} data-end={end}>
      {outcome !== undefined && (
        <p>
          {whole
            ? `${say("hazardsPage.allChecked", { many: many(outcome.states) })} `
            : `${say("hazardsPage.notAllChecked", { many: many(outcome.states) })} `}
          {outcome.sampled > 0 &&
            `${say("hazardsPage.unproven", { many: many(outcome.sampled), manyOther: many(outcome.evaluated) })} `}
          {open > 0 ? (
            <strong className="text-grounded">{say("hazardsPage.hazards", { count: open })}</strong>
          ) : (
            whole && <strong className="text-done">{say("hazardsPage.none")}</strong>
          )}
          {accepted > 0 && ` ${say("hazardsPage.accepted", { accepted })}`}
        </p>
      )}
      {!whole && (
        <p className="flex flex-wrap items-center gap-3">
          <strong>{ENDS[end]}</strong>
          {end !== "TOO_LARGE" && <Button onClick={again}>{say("hazardsPage.searchAgain")}</Button>}
        </p>
      )}
    </div>
  );
}

function HazardCard({ hazard }: { hazard: Hazard }) {
  const store = useBenchStore();
  const { leadIn, seconds, linkLost } = hazard.showing;
  const play = () => store.showThrough([...leadIn, ...hazard.moments], seconds, linkLost);
  const accepted = hazard.acceptedBecause !== "";
  return (
    <Card className="!p-3">
      <div data-hazard={hazard.kind} data-accepted={accepted || undefined} className="flex gap-3">
        <TriangleAlert
          aria-hidden
          size={20}
          className={`mt-0.5 shrink-0 ${accepted ? "text-soft" : "text-grounded"}`}
        />
        <div className="min-w-0 flex-1">
          <p className="font-semibold">{hazard.words}</p>
          <p className="text-sm text-soft">{hazard.why}</p>
          {hazard.way.length > 0 && (
            <p className="mt-1 text-sm">
              <Say
                id="hazardsPage.how"
                values={{ span: <span className="font-medium">{hazard.way.join(" · ")}</span> }}
              />
            </p>
          )}
          <MendsOf id={hazard.kind} subject={hazard.subject} />
          {accepted ? (
            <p className="mt-1 text-sm text-soft">
              {say("hazardsPage.acceptedBecause", { acceptedBecause: hazard.acceptedBecause })}{" "}
              <Reopen rule={hazard.kind} subject={hazard.subject} />
            </p>
          ) : (
            <Accept rule={hazard.kind} subject={hazard.subject} what={say("hazardsPage.hazard")} />
          )}
        </div>
        {hazard.moments.length > 0 && (
          <Button className="self-start" onClick={play}>
            <Play aria-hidden size={15} /> {say("hazardsPage.showBench")}
          </Button>
        )}
      </div>
    </Card>
  );
}

import { LogLink } from "@/features/model/LogLink";
import { useOpenAdjustment } from "@/api/queries";
import { useStory } from "@/api/history";
import { useModel } from "@/features/model/model";
import { Empty } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { ConfirmationCard } from "./ConfirmationCard";
import { CalibrationCard } from "./CalibrationCard";
import { PlanView } from "./PlanView";
import { WorkOrderView } from "./WorkOrderView";
import { say } from "@/words/generated/adjustment";

/** From trims to rods: what the flights say, what explains it, the plan, then the work order. */
export function AdjustPage() {
  const { standing } = useModel();
  const open = useOpenAdjustment(standing.id);
  const story = useStory(standing.id);
  if (open.isError || story.isError) {
    return <Failure error={open.error ?? story.error} />;
  }
  if (open.data === undefined || story.data === undefined) {
    return <Waiting what={say("adjustPage.theAdjustment")} />;
  }
  if (open.data !== null) {
    return <WorkOrderView open={open.data} />;
  }
  const flown = story.data.series.some((one) => one.points.length > 0);
  return (
    <div className="mx-auto max-w-4xl space-y-3">
      <ConfirmationCard story={story.data} />
      <CalibrationCard story={story.data} />
      {flown ? (
        <PlanView story={story.data} />
      ) : (
        <Empty title={say("adjustPage.flyItFirst")}>
          <p>{say("adjustPage.noFlightYet", { number: standing.newest.number })}</p>
          <LogLink to="../fly/new" label={say("adjustPage.logAFlight")} />
        </Empty>
      )}
    </div>
  );
}

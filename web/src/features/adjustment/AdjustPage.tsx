import { LogLink } from "@/features/model/LogLink";
import { useOpenAdjustment } from "@/api/queries";
import { useStory } from "@/api/story";
import { useModel } from "@/features/model/model";
import { Empty } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { ConfirmationCard } from "./ConfirmationCard";
import { LearnedCard } from "./LearnedCard";
import { PlanView } from "./PlanView";
import { WorkOrderView } from "./WorkOrderView";

/** From trims to rods: what the flights say, what explains it, the plan, then the work order. */
export function AdjustPage() {
  const { standing } = useModel();
  const open = useOpenAdjustment(standing.id);
  const story = useStory(standing.id);
  if (open.isError || story.isError) {
    return <Failure error={open.error ?? story.error} />;
  }
  if (open.data === undefined || story.data === undefined) {
    return <Waiting what="the adjustment" />;
  }
  if (open.data !== null) {
    return <WorkOrderView open={open.data} />;
  }
  const flown = story.data.series.some((one) => one.points.length > 0);
  return (
    <div className="mx-auto max-w-4xl space-y-3">
      <ConfirmationCard story={story.data} />
      <LearnedCard story={story.data} />
      {flown ? (
        <PlanView story={story.data} />
      ) : (
        <Empty title="Fly it first">
          <p>
            Revision {standing.newest.number} has no flight yet. Trim it in the air, note the
            clicks, and come back.
          </p>
          <LogLink to="../fly/new" label="Log a flight" />
        </Empty>
      )}
    </div>
  );
}

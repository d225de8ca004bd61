import { Link } from "react-router";
import { useFlights, useOpenAdjustment } from "@/api/queries";
import { useModel } from "@/features/model/model";
import { buttonClass } from "@/ui/button";
import { Empty } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { ConfirmationCard } from "./ConfirmationCard";
import { PlanView } from "./PlanView";
import { WorkOrderView } from "./WorkOrderView";

/** From trims to rods: the plan, then the work order once it is begun. */
export function AdjustPage() {
  const { standing } = useModel();
  const open = useOpenAdjustment(standing.id);
  const flights = useFlights(standing.id);
  if (open.isError || flights.isError) {
    return <Failure error={open.error ?? flights.error} />;
  }
  if (open.data === undefined || flights.items === undefined) {
    return <Waiting what="the adjustment" />;
  }
  if (open.data !== null) {
    return <WorkOrderView open={open.data} />;
  }
  const flight = flights.items.find((one) => one.revisionNumber >= standing.trimsHoldSince);
  const trims = [flight?.report.trims, ...(flight?.report.phases.map((one) => one.trims) ?? [])];
  const zero = trims.every((one) => one?.roll === 0 && one.pitch === 0 && one.yaw === 0);
  if (flight === undefined || zero) {
    return (
      <>
        <ConfirmationCard />
        <Empty title={flight === undefined ? "Fly it first" : "Trims are at zero"}>
          <p>
            {flight === undefined
              ? `Revision ${standing.newest.number} has no flight yet. Trim it in the air, note the clicks, and come back.`
              : "The last flight needed no trim: nothing is left to turn."}
          </p>
          <Link to="../fly/new" className={buttonClass("main")}>
            Log a flight
          </Link>
        </Empty>
      </>
    );
  }
  return (
    <>
      <ConfirmationCard />
      <PlanView flight={flight} />
    </>
  );
}

import { Link } from "react-router";
import { useFlight } from "@/api/queries";
import { useMarkFlight, type TrimSeries } from "@/api/history";
import { useModel } from "@/features/model/model";
import { Button, buttonClass } from "@/ui/button";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/flightlog";

/** Noted the wrong way round? It does not count until this is answered. */
export function SignAsked({ series }: { series: TrimSeries }) {
  const { standing } = useModel();
  const flight = useFlight(standing.id, series.asked).data;
  const mark = useMarkFlight(standing.id);
  if (flight === undefined) {
    return null;
  }
  const { phase, control } = series;
  return (
    <div className="mt-1 flex flex-wrap gap-2" data-sign-asked={control}>
      <Link to={String(flight.id)} className={buttonClass("main")}>
        {say("signAsked.wrong")}
      </Link>
      <Button
        disabled={mark.isPending}
        onClick={() =>
          mark.mutate({
            flight,
            marks: { signsConfirmed: [...flight.marks.signsConfirmed, { phase, control }] },
          })
        }
      >
        {say("signAsked.correct")}
      </Button>
      {mark.isError && <Failure error={mark.error} />}
    </div>
  );
}

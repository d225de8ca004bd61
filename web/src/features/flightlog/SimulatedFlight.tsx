import type { UseFormReturn } from "react-hook-form";
import { useSimulatedFlight, type FlightReport } from "@/api/queries";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/flightlog";

interface Props {
  form: UseFormReturn<FlightReport>;
  /** What is saved now was flown by the stand-in. */
  onFlown: () => void;
}

/** To practise with: the simulated model flies and the trims it needs are filled in. */
export function SimulatedFlight({ form, onFlown }: Props) {
  const { standing } = useModel();
  const fly = useSimulatedFlight(standing.id);
  const start = () => {
    fly.mutate(
      {
        cgMm: form.getValues("cgMm") ?? standing.newest.setup.balance.targetMm,
        seed: crypto.getRandomValues(new Uint16Array(1))[0] ?? 1,
      },
      {
        onSuccess: ([base, ...others]) => {
          if (base !== undefined) {
            form.setValue("trims", base.trims);
            form.setValue("phases", others);
            form.setValue("remarks", say("simulatedFlight.simulatedFlight"));
            onFlown();
          }
        },
      },
    );
  };
  return (
    <div className="flex flex-wrap items-center gap-3 text-sm text-soft" data-simulated>
      <Button onClick={start} disabled={fly.isPending}>
        {say("simulatedFlight.flySimulator")}
      </Button>
      <span className="min-w-48 flex-1">{say("simulatedFlight.hint")}</span>
      {fly.isError && <Failure error={fly.error} />}
    </div>
  );
}

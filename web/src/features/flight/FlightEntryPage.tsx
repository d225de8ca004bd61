import { zodResolver } from "@hookform/resolvers/zod";
import { useEffect, useState } from "react";
import { useForm } from "react-hook-form";
import { useNavigate, useParams } from "react-router";
import {
  useAddFlight,
  useCorrectFlight,
  useFields,
  useFlights,
  useStandingTrims,
  type Field,
  type Flight,
  type FlightReport,
} from "@/api/queries";
import type { Schemas } from "@/api/client";
import { useModel } from "@/features/aircraft/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { CardTable } from "./CardTable";
import { PhaseTrims } from "./PhaseTrims";
import { ChoiceRow, TextRow } from "./rows";
import { SimulatedFlight } from "./SimulatedFlight";
import { AIRS, WINDS, flightSchema } from "./schema";

const today = () => new Date().toLocaleDateString("sv-SE");

/** Notes a flight, or corrects one; made for a phone and a thumb. */
export function FlightEntryPage() {
  const { standing } = useModel();
  const flightId = useParams().flightId;
  const flights = useFlights(standing.id);
  const fields = useFields();
  const trims = useStandingTrims(standing.id);
  if (flights.data === undefined || fields.data === undefined || trims.data === undefined) {
    return <Waiting what="the form" />;
  }
  const corrected = flights.data.find((one) => String(one.id) === flightId);
  return (
    <Entry
      key={flightId ?? "new"}
      fields={fields.data}
      corrected={corrected}
      last={flights.data[0]?.report}
      stands={trims.data}
    />
  );
}

/** A new entry starts from the last flight's place, pack and balance, and from the trims that stand. */
const fresh = (last: FlightReport | undefined, trims: FlightReport["trims"]): FlightReport => ({
  flownOn: today(),
  wind: "CALM",
  air: "SMOOTH",
  field: last?.field ?? "",
  battery: last?.battery ?? "",
  cgMm: last?.cgMm ?? 0,
  remarks: "",
  goal: "",
  trims,
  throttlePercent: 50,
  sure: "SURE",
  turnsDiffer: false,
  phases: [],
});

interface EntryProps {
  fields: Field[];
  corrected: Flight | undefined;
  last: FlightReport | undefined;
  stands: Schemas["StandingTrims"];
}

function Entry({ fields, corrected, last, stands }: EntryProps) {
  const { standing } = useModel();
  const none = { roll: 0, pitch: 0, yaw: 0 };
  const standingIn = (phase: string) =>
    stands.phases.find((one) => one.phase === phase)?.trims ?? none;
  const blank = fresh(last, stands.phases.at(-1)?.trims ?? none);
  const navigate = useNavigate();
  const range = standing.newest.setup.transmitter.trimRangeClicks;
  const [byCard, setByCard] = useState(false);
  const add = useAddFlight(standing.id);
  const correct = useCorrectFlight(standing.id);
  const key = `high-tally.flight.${standing.id}.${corrected?.id ?? "new"}`;
  const kept = localStorage.getItem(key);
  const form = useForm<FlightReport>({
    resolver: zodResolver(flightSchema(fields, range)) as never,
    defaultValues:
      kept === null
        ? (corrected?.report ?? blank)
        : { ...blank, ...(JSON.parse(kept) as FlightReport) },
  });
  const { control, handleSubmit, register, formState, subscribe } = form;
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values }) => localStorage.setItem(key, JSON.stringify(values)),
      }),
    [subscribe, key],
  );
  const saved = () => {
    localStorage.removeItem(key);
    void navigate("..", { relative: "path" });
  };
  const save = handleSubmit((report) => {
    if (corrected === undefined) {
      add.mutate({ revisionNumber: standing.newest.number, report }, { onSuccess: saved });
    } else {
      const body = { version: corrected.version, report };
      correct.mutate({ flightId: corrected.id, body }, { onSuccess: saved });
    }
  });
  const { errors } = formState;
  return (
    <form onSubmit={(event) => void save(event)} className="mx-auto max-w-xl space-y-3" noValidate>
      <h2 className="text-xl">
        {corrected === undefined
          ? `Flight on revision ${standing.newest.number}`
          : `Correct the flight on revision ${corrected.revisionNumber}`}
      </h2>
      <div className="flex gap-2" role="group" aria-label="Entered">
        <Button
          look={byCard ? "plain" : "main"}
          onClick={() => setByCard(false)}
          aria-pressed={!byCard}
        >
          By thumb
        </Button>
        <Button
          look={byCard ? "main" : "plain"}
          onClick={() => setByCard(true)}
          aria-pressed={byCard}
        >
          From the field card
        </Button>
      </div>
      {byCard ? (
        <CardTable form={form} range={range} stands={stands} />
      ) : (
        <PhaseTrims form={form} range={range} standingIn={standingIn} />
      )}
      <Card title="The day">
        <div className="space-y-3">
          <TextRow
            label="Flown on"
            type="date"
            error={errors.flownOn?.message}
            {...register("flownOn")}
          />
          <ChoiceRow control={control} name="wind" label="Wind" options={WINDS} />
          <ChoiceRow control={control} name="air" label="Air" options={AIRS} />
          <TextRow label="Field" error={errors.field?.message} {...register("field")} />
          <TextRow label="Battery" error={errors.battery?.message} {...register("battery")} />
          <TextRow
            label="Balance point, mm aft of the datum"
            inputMode="decimal"
            error={errors.cgMm?.message}
            {...register("cgMm", { valueAsNumber: true })}
          />
          <TextRow label="Goal of the flight" error={errors.goal?.message} {...register("goal")} />
          <TextRow label="Remarks" error={errors.remarks?.message} {...register("remarks")} />
        </div>
      </Card>
      {(add.isError || correct.isError) && <Failure error={add.error ?? correct.error} />}
      <Button
        type="submit"
        look="main"
        large
        className="w-full"
        disabled={add.isPending || correct.isPending}
      >
        Save the flight
      </Button>
      {corrected === undefined && <SimulatedFlight form={form} />}
    </form>
  );
}

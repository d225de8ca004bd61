import { zodResolver } from "@hookform/resolvers/zod";
import { useEffect, useState } from "react";
import { useForm } from "react-hook-form";
import { useNavigate, useParams } from "react-router";
import {
  useAddFlight,
  useCorrectFlight,
  useFields,
  useFlight,
  useFlights,
  useStandingTrims,
  useTrimsBeingRead,
  type Field,
  type Flight,
  type FlightReport,
} from "@/api/queries";
import type { Schemas } from "@/api/client";
import { forget, keep, kept, shaped } from "@/domain/storage";
import { Grounded } from "@/features/model/Grounded";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { SwitchTabs } from "@/ui/switch-tabs";
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
  const corrected = useFlight(standing.id, flightId === undefined ? undefined : Number(flightId));
  const fields = useFields();
  const trims = useStandingTrims(standing.id);
  if (corrected.isError) {
    return <Failure error={corrected.error} />;
  }
  if (
    flights.items === undefined ||
    fields.data === undefined ||
    trims.data === undefined ||
    (flightId !== undefined && corrected.data === undefined)
  ) {
    return <Waiting what="the form" />;
  }
  return (
    <Entry
      key={flightId ?? "new"}
      fields={fields.data}
      corrected={corrected.data}
      last={flights.items[0]?.report}
      stands={trims.data}
    />
  );
}

/** Whether what was kept is a report such as this form fills in. */
const isReport = (value: unknown): value is FlightReport =>
  shaped(value, { flownOn: "string", trims: "object", phases: "array" }) &&
  shaped((value as FlightReport).trims, { roll: "number", pitch: "number", yaw: "number" }) &&
  (value as FlightReport).phases.every(
    (one: unknown) =>
      shaped(one, { phase: "string", trims: "object" }) &&
      shaped((one as FlightReport["phases"][number]).trims, { roll: "number" }),
  );

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
  const reading = useTrimsBeingRead();
  const key = `high-tally.flight.${standing.id}.${corrected?.id ?? "new"}`;
  const [found] = useState(() => kept(key, isReport));
  const form = useForm<FlightReport>({
    resolver: zodResolver(flightSchema(fields, range)) as never,
    defaultValues:
      found.state === "kept" ? { ...blank, ...found.value } : (corrected?.report ?? blank),
  });
  const { control, handleSubmit, register, formState, subscribe } = form;
  const [stored, setStored] = useState(true);
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: ({ values }) => setStored(keep(key, values) === "kept"),
      }),
    [subscribe, key],
  );
  const saved = () => {
    forget(key);
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
      <Grounded model={standing.id} grounding={standing.grounding} />
      {found.state === "broken" && (
        <p role="alert" className="border-l-4 border-grounded bg-inset px-4 py-2">
          An entry that was begun here before could not be read; the form begins anew.
        </p>
      )}
      {!stored && (
        <p role="alert" className="border-l-4 border-grounded bg-inset px-4 py-2">
          This browser’s storage is full or forbidden: the entry is kept only as long as this tab is
          open. Save it before you close it.
        </p>
      )}
      <SwitchTabs
        label="Entered"
        value={byCard ? "card" : "thumb"}
        onValue={(way) => setByCard(way === "card")}
        options={[
          [
            "thumb",
            "By thumb",
            <PhaseTrims key="thumb" form={form} range={range} standingIn={standingIn} />,
          ],
          ["card", "From the field card", <CardTable key="card" form={form} stands={stands} />],
        ]}
      />
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
        disabled={add.isPending || correct.isPending || reading}
      >
        Save the flight
      </Button>
      {corrected === undefined && <SimulatedFlight form={form} />}
    </form>
  );
}

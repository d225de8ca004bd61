import { zodResolver } from "@hookform/resolvers/zod";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { useAddSimulated } from "@/api/history";
import { useChecks, useEndedHere, type CheckOutline } from "@/api/checks";
import { useAddFlown, useCoach, useCorrectFlown, useFlightForm } from "@/api/fly";
import {
  useFields,
  useFlight,
  useFlights,
  useOpened,
  useStandingTrims,
  useTrimsBeingRead,
  type Flight,
  type FlightReport,
} from "@/api/queries";
import { today } from "@/domain/words";
import { Grounded } from "@/features/model/Grounded";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Form } from "@/ui/form";
import { failed, Failure, Waiting } from "@/ui/message";
import { SwitchTabs } from "@/ui/switch-tabs";
import { CardTable } from "./CardTable";
import { DayCard } from "./DayCard";
import { useKeptEntry } from "./kept-entry";
import { PhaseTrims } from "./PhaseTrims";
import { fresh, NONE, whole, type Begun } from "./reading";
import { TextRow } from "./rows";
import { checkedToday, SeenCards } from "./SeenCards";
import { Followed } from "./FlightActions";
import { SimulatedFlight } from "./SimulatedFlight";
import { flightSchema } from "./schema";
import { say } from "@/words/generated/flightlog";

/** Notes a flight, or corrects one; made for a phone and a thumb. */
export function FlightEntryPage() {
  const { standing } = useModel();
  const flightId = useParams().flightId;
  const flights = useFlights(standing.id);
  const corrected = useFlight(standing.id, flightId === undefined ? undefined : Number(flightId));
  const fields = useFields();
  const trims = useStandingTrims(standing.id);
  const coach = useCoach(standing.id);
  const asks = useFlightForm(standing.id);
  const checks = useChecks(standing.id);
  const opened = useOpened(flights, corrected, trims, coach, asks, checks);
  if (
    !opened ||
    flights.items === undefined ||
    fields.data === undefined ||
    trims.data === undefined ||
    coach.data === undefined ||
    asks.data === undefined ||
    checks.data === undefined ||
    (flightId !== undefined && corrected.data === undefined)
  ) {
    const wrong = failed([
      { ...flights, data: flights.items },
      corrected,
      fields,
      trims,
      coach,
      asks,
      checks,
    ]);
    return wrong === undefined ? (
      <Waiting what={say("flightEntryPage.theForm")} />
    ) : (
      <Failure error={wrong.error} />
    );
  }
  return (
    <Entry
      key={flightId ?? "new"}
      fields={fields.data}
      corrected={corrected.data}
      last={flights.items[0]?.report}
      stands={trims.data}
      coach={coach.data}
      asks={asks.data}
      check={checkedToday(checks.data.runs, today())}
      runs={checks.data.runs}
    />
  );
}

interface EntryProps extends Begun {
  corrected: Flight | undefined;
  /** The check of today, to be named by the flight; 0 for none. */
  check: number;
  runs: CheckOutline[];
}

function Entry(props: EntryProps) {
  const { fields, corrected, stands, coach, asks, check, runs } = props;
  const { standing } = useModel();
  const setup = standing.newest.setup;
  const blank = fresh(props, setup.balance.packs, today());
  const navigate = useNavigate();
  const range = setup.transmitter.trimRangeClicks;
  const add = useAddFlown(standing.id);
  const practised = useAddSimulated(standing.id);
  const [simulated, setSimulated] = useState(false);
  const correct = useCorrectFlown(standing.id);
  const reading = useTrimsBeingRead();
  const entry = useKeptEntry(
    `high-tally.flight.${standing.id}.${corrected?.id ?? "new"}`,
    corrected,
    blank,
    zodResolver(flightSchema(fields, range)) as never,
  );
  const { form, noted, see, stored, broken } = entry;
  // A check ended a moment ago may be heard of only after the form has opened.
  const seen = corrected === undefined ? { ...noted, check } : noted;
  const ended = useEndedHere(standing.id, runs);
  const unjudged = corrected === undefined ? ended : "";
  const { formState } = form;
  const grounded = corrected === undefined && standing.grounding.verdict !== "CLEAR";
  const saved = () => {
    entry.forget();
    const told = seen.results.length > 0;
    void navigate(told ? "../coach" : "..", { relative: "path" });
  };
  const save = (filled: FlightReport) => {
    const report = whole(filled, asks);
    if (corrected === undefined) {
      const flown = { revisionNumber: standing.newest.number, report, seen };
      if (simulated) {
        practised.mutate(flown, { onSuccess: saved });
      } else {
        const checked = unjudged;
        add.mutate({ flown, forms: entry.forms(filled, seen), checked }, { onSuccess: saved });
      }
    } else {
      const body = { version: corrected.version, report, seen };
      correct.mutate({ flightId: corrected.id, body }, { onSuccess: saved });
    }
  };
  const { errors } = formState;
  return (
    <Form form={form} send={save} className="mx-auto max-w-xl space-y-3 pt-3" noValidate>
      <h2 className="text-xl">
        {corrected === undefined
          ? say("flightEntryPage.title", { number: standing.newest.number })
          : say("flightEntryPage.correctTitle", {
              revisionNumber: corrected.revisionNumber,
            })}
      </h2>
      {corrected !== undefined && <Followed flight={corrected} asked />}
      <Grounded model={standing.id} grounding={standing.grounding} />
      {grounded && (
        <TextRow
          label={say("flightEntryPage.despite")}
          value={seen.despite}
          maxLength={300}
          onChange={(event) => see({ ...seen, despite: event.target.value })}
        />
      )}
      {broken && (
        <p role="alert" className="border-l-4 border-grounded bg-inset px-4 py-2">
          {say("flightEntryPage.unreadable")}
        </p>
      )}
      {!stored && (
        <p role="alert" className="border-l-4 border-grounded bg-inset px-4 py-2">
          {say("flightEntryPage.storageNone")}
        </p>
      )}
      <TrimsRead form={form} range={range} asks={asks} stands={stands} />
      <SeenCards coach={coach} seen={seen} onSeen={see} unjudged={unjudged !== ""} />
      <DayCard
        form={form}
        fields={fields}
        known={{ battery: setup.balance.packs.map((one) => one.name) }}
      />
      {[add, correct, practised].map(
        (one, i) => one.isError && <Failure key={i} error={one.error} />,
      )}
      <Button
        type="submit"
        look="main"
        large
        className="w-full"
        disabled={add.isPending || correct.isPending || reading}
      >
        {say("flightEntryPage.save")}
      </Button>
      {Object.keys(errors).length > 0 && (
        <p role="alert" className="font-medium text-grounded">
          {say("flightEntryPage.notSaved")}
        </p>
      )}
      {corrected === undefined && (
        <SimulatedFlight form={form} onFlown={() => setSimulated(true)} />
      )}
    </Form>
  );
}

interface ReadProps extends Pick<EntryProps, "asks" | "stands"> {
  form: ReturnType<typeof useKeptEntry>["form"];
  range: number;
}

/** The trims of every phase flown: by the thumb, or from a field card. */
function TrimsRead({ form, range, asks, stands }: ReadProps) {
  const [byCard, setByCard] = useState(false);
  const standingIn = (phase: string) =>
    stands.phases.find((one) => one.phase === phase)?.trims ?? NONE;
  return (
    <SwitchTabs
      label={say("flightEntryPage.entered")}
      value={byCard ? "card" : "thumb"}
      onValue={(way) => setByCard(way === "card")}
      options={[
        [
          "thumb",
          say("flightEntryPage.withButtons"),
          <PhaseTrims key="thumb" form={form} range={range} asks={asks} standingIn={standingIn} />,
        ],
        [
          "card",
          say("flightEntryPage.fromCard"),
          <CardTable key="card" form={form} stands={stands} />,
        ],
      ]}
    />
  );
}

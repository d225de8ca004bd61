import { LogLink } from "@/features/model/LogLink";
import { lengthEntered } from "@/domain/reader";
import { useState } from "react";
import { Link } from "react-router";
import { useCoach } from "@/api/fly";
import { useFlights, useRevisions, type Flight, useFields } from "@/api/queries";
import { useBringBack, useStory } from "@/api/history";
import {
  CONTROL_KEYS,
  CONTROL_WORDS,
  clickWords,
  controlName,
  day,
  dayAndFlight,
} from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button, buttonClass } from "@/ui/button";
import { Empty } from "@/ui/card";
import { CsvCard } from "./CsvCard";
import { FlightActions } from "./FlightActions";
import { SettlingCard } from "./SettlingCard";
import { Failure, Waiting } from "@/ui/message";
import { More } from "@/ui/more";
import { dayFields, dayValue } from "./day-fields";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/flightlog";

/** The flight log of a model, newest first. */
export function FlightsPage() {
  const { standing } = useModel();
  const flights = useFlights(standing.id);
  const revisions = useRevisions(standing.id);
  const [deleted, setDeleted] = useState<Flight>();
  const bring = useBringBack(standing.id);
  const undo = deleted !== undefined && (
    <p
      role="status"
      className="flex flex-wrap items-center gap-3 border-l-4 border-tag bg-sheet px-4 py-2"
    >
      {say("flightsPage.flightDeleted", { day: day(deleted.report.flownOn) })}
      <Button
        disabled={bring.isPending}
        onClick={() => bring.mutate(deleted.id, { onSuccess: () => setDeleted(undefined) })}
      >
        {say("flightsPage.restore")}
      </Button>
    </p>
  );
  if (flights.items === undefined) {
    return flights.isError ? (
      <Failure error={flights.error} />
    ) : (
      <Waiting what={say("flightsPage.flights")} />
    );
  }
  if (flights.items.length === 0) {
    return (
      <Empty title={say("flightsPage.notFlown")}>
        {undo}
        <p>{say("flightsPage.beginHint")}</p>
        <LogLink to="new" label={say("flightsPage.logTheFirstFlight")} />
        <CsvCard />
      </Empty>
    );
  }
  return (
    <div className="mx-auto max-w-4xl space-y-3 pt-3">
      <div className="flex flex-wrap gap-2">
        <LogLink to="new" label={say("flightsPage.logAFlight")} large />
        <Link to="card" className={buttonClass("plain", true)}>
          {say("flightsPage.fieldCard")}
        </Link>
      </div>
      {undo}
      <SettlingCard />
      <ol className="space-y-3">
        {flights.items.map((flight) => (
          <li key={flight.id} data-flight={flight.id} className="drawn-in-view">
            <FlightCard
              flight={flight}
              onDeleted={setDeleted}
              changed={revisions.items?.find((one) => one.number === flight.revisionNumber)?.reason}
            />
          </li>
        ))}
      </ol>
      <More
        shown={flights.items.length}
        total={flights.total}
        more={flights.more}
        coming={flights.coming}
      />
      <CsvCard />
    </div>
  );
}

/** What the sentences of a card say; a field that is none of them stands by itself. */
const IN_SENTENCES = ["flownOn", "wind", "air", "field", "battery", "cgMm", "goal", "remarks"];

interface FlightCardProps {
  flight: Flight;
  onDeleted: (flight: Flight) => void;
  /** What the revision it was on had changed. */
  changed: string | undefined;
}

function FlightCard({ flight, changed, onDeleted }: FlightCardProps) {
  const { standing, draft } = useModel();
  const phaseName = (id: string) =>
    draft.present.phases.find((one) => one.id === id)?.name ??
    say("flightsPage.goneFromSetup", { id });
  const { report } = flight;
  const besides = dayFields(useFields().data ?? []).filter(
    (one) => !IN_SENTENCES.includes(one.name),
  );
  const points = useStory(standing.id)
    .data?.series.flatMap((one) => one.points)
    .filter((point) => point.flight === flight.id);
  const counts = points?.some((point) => point.counts);
  return (
    <article
      className={`rounded-card border bg-sheet p-4 ${counts === true ? "border-line-strong" : "border-line"}`}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-base">{dayAndFlight(report.flownOn, points?.[0]?.ofDay ?? 0)}</h2>
        <span className="text-sm text-soft">
          {say("flightsPage.revision", {
            revisionNumber: flight.revisionNumber,
            counts: counts === true,
          })}
        </span>
      </div>
      <dl className="my-2 grid grid-cols-3 gap-2">
        {CONTROL_KEYS.map((key) => (
          <div key={key} className="rounded-card bg-inset px-3 py-1.5">
            <dt className="text-xs text-soft">{controlName(key)}</dt>
            <dd className="figures font-semibold">{clickWords(key, report.trims[key])}</dd>
          </div>
        ))}
      </dl>
      {report.phases.length > 0 && (
        <p className="figures text-sm">
          {report.phases
            .map(
              (one) =>
                `${phaseName(one.phase)}: ${
                  CONTROL_KEYS.filter((key) => one.trims[key] !== 0)
                    .map((key) => `${CONTROL_WORDS[key]} ${clickWords(key, one.trims[key])}`)
                    .join(", ") || say("flightsPage.allAtZero")
                }`,
            )
            .join(" · ")}
        </p>
      )}
      <p className="text-sm text-soft">
        {say("flightsPage.windAir", {
          wind: told("Wind", report.wind),
          air: told("Air", report.air),
          field: report.field !== "" && `, ${report.field}`,
          battery: report.battery !== "" && `, ${report.battery}`,
          balance: report.cgMm !== null,
          at: report.cgMm === null ? "" : lengthEntered(report.cgMm),
        })}
      </p>
      {changed !== undefined && (
        <p className="text-sm text-soft">{say("flightsPage.changedBefore", { changed })}</p>
      )}
      {report.goal !== "" && (
        <p className="text-sm">{say("flightsPage.goal", { goal: report.goal })}</p>
      )}
      {flight.seen.results.length > 0 && <Shown results={flight.seen.results} />}
      {flight.seen.despite !== "" && (
        <p className="text-sm text-grounded">
          {say("flightsPage.uncleared", { despite: flight.seen.despite })}
        </p>
      )}
      {report.remarks !== "" && <p className="mt-1">{report.remarks}</p>}
      {besides.map((one) => (
        <p key={one.name} className="text-sm">
          {one.label}: {dayValue(one, report[one.name])}
        </p>
      ))}
      {flight.marks.leftOut !== "" && (
        <p className="text-sm text-soft">
          {say("flightsPage.leftOut", { leftOut: flight.marks.leftOut })}
        </p>
      )}
      {flight.marks.simulated && (
        <p className="text-sm text-soft">{say("flightsPage.simulated")}</p>
      )}
      <FlightActions flight={flight} onDeleted={onDeleted} />
    </article>
  );
}

const STRENGTHS = [
  "",
  say("flightsPage.slight"),
  say("flightsPage.clear"),
  say("flightsPage.strong"),
];

/** What a flight showed of trim tests, in the coach's own words. */
function Shown({ results }: { results: Flight["seen"]["results"] }) {
  const { standing } = useModel();
  const cards = useCoach(standing.id).data?.cards ?? [];
  return results.map((one) => {
    const card = cards.find(({ test }) => test.test === one.test && test.part === one.part);
    const words = (outcome: string) =>
      card?.outcomes.find((each) => each.outcome === outcome)?.words ?? outcome;
    return (
      <p key={one.test + one.part} className="text-sm">
        {card?.name ?? one.test}:{" "}
        {one.seen.length === 0
          ? say("flightsPage.asItShouldBe")
          : one.seen
              .map((each) => `${words(each.outcome)} (${STRENGTHS[each.strength] ?? ""})`)
              .join(", ")}
      </p>
    );
  });
}

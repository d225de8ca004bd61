import { Download, RotateCcw } from "lucide-react";
import { useState } from "react";
import { useFlights, useRevise, useRevisions } from "@/api/queries";
import { CONTROL_KEYS, clickWords, day } from "@/domain/words";
import { Button, buttonClass } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure, Waiting } from "@/ui/message";
import { DifferenceList } from "./DifferenceList";
import { useModel } from "./model";

/** Every saved state, what it did to the trims; two compared, one restored as a new revision. */
export function RevisionsPage() {
  const { standing, change } = useModel();
  const revisions = useRevisions(standing.id);
  const flights = useFlights(standing.id);
  const revise = useRevise(standing.id);
  const newest = standing.newest.number;
  const [before, setBefore] = useState(String(Math.max(1, newest - 1)));
  const [after, setAfter] = useState(String(newest));
  if (revisions.data === undefined) {
    return revisions.isError ? <Failure error={revisions.error} /> : <Waiting what="revisions" />;
  }
  const numbers = revisions.data.map(
    (one) => [String(one.number), `revision ${one.number}`] as const,
  );
  const at = (number: string) => revisions.data.find((one) => String(one.number) === number)?.setup;
  const [one, two] = [at(before), at(after)];
  const restore = (number: number) => {
    const setup = at(String(number));
    if (setup !== undefined) {
      revise.mutate(
        { basedOn: newest, reason: `Revision ${number} restored`, setup },
        {
          onSuccess: (made) => change({ type: "restart", basedOn: made.number, setup: made.setup }),
        },
      );
    }
  };
  return (
    <div className="mx-auto grid max-w-[1250px] gap-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
      <Card title="Revisions">
        {revise.isError && <Failure error={revise.error} />}
        <p className="mb-2 text-sm text-soft">
          Restoring makes a new revision of the old description. Rods turned since have to be turned
          back by hand: compare the two, it names them.
        </p>
        <ol>
          {revisions.data.map((each) => (
            <li
              key={each.number}
              data-revision={each.number}
              className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-3 first:border-0"
            >
              <span className="figures grid size-9 place-items-center rounded-full bg-inset font-bold">
                {each.number}
              </span>
              <div className="min-w-0 flex-1">
                <p className="font-medium">{each.reason}</p>
                <p className="text-sm text-soft">
                  {day(each.createdAt)}
                  {each.fromAdjustment && ", from an adjustment"}
                  {each.corrects && ", learned in flight; the model is as it was"}
                </p>
                <Flown
                  trims={
                    flights.data?.filter((flight) => flight.revisionNumber === each.number) ?? []
                  }
                />
              </div>
              <a
                className={buttonClass("quiet")}
                aria-label={`Save revision ${each.number} as a file`}
                href={`/api/aircraft/${standing.id}/revisions/${each.number}/file`}
              >
                <Download aria-hidden size={16} /> File
              </a>
              {each.number !== newest && (
                <Button look="quiet" onClick={() => restore(each.number)}>
                  <RotateCcw aria-hidden size={15} /> Restore
                </Button>
              )}
            </li>
          ))}
        </ol>
      </Card>
      <Card title="What changed">
        <div className="mb-3 flex flex-wrap gap-3">
          <Choice label="From" value={before} onValue={setBefore} options={numbers} />
          <Choice label="To" value={after} onValue={setAfter} options={numbers} />
        </div>
        {one !== undefined && two !== undefined && (
          <DifferenceList
            before={one}
            after={two}
            beforeName={`Revision ${before}`}
            afterName={`Revision ${after}`}
          />
        )}
      </Card>
    </div>
  );
}

type Flights = NonNullable<ReturnType<typeof useFlights>["data"]>;

/** What trims a revision was flown with, first to last. */
function Flown({ trims }: { trims: Flights }) {
  return trims.length === 0 ? (
    <p className="text-sm text-soft">Not flown.</p>
  ) : (
    <ul className="figures text-sm">
      {[...trims].reverse().map((flight) => (
        <li key={flight.id}>
          {day(flight.report.flownOn)}:{" "}
          {CONTROL_KEYS.filter((key) => flight.report.trims[key] !== 0)
            .map((key) => `${key} ${clickWords(key, flight.report.trims[key])}`)
            .join(", ") || "all trims at zero"}
        </li>
      ))}
    </ul>
  );
}

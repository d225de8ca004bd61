import { Download, RotateCcw } from "lucide-react";
import { useState } from "react";
import { useQueryClient } from "@tanstack/react-query";
import {
  revisionQuery,
  useFlights,
  useRevise,
  useRevision,
  useRevisions,
  type Flight,
} from "@/api/queries";
import { CONTROL_KEYS, clickWords, day } from "@/domain/words";
import { Button, buttonClass } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure, Waiting } from "@/ui/message";
import { More } from "@/ui/more";
import { DifferenceList } from "@/features/model/DifferenceList";
import { useModel } from "@/features/model/model";

/** Every saved state, what it did to the trims; two compared, one restored as a new revision. */
export function RevisionsPage() {
  const { standing, change } = useModel();
  const revisions = useRevisions(standing.id);
  const flights = useFlights(standing.id);
  const revise = useRevise(standing.id);
  const client = useQueryClient();
  const newest = standing.newest.number;
  const [before, setBefore] = useState(String(newest > 1 ? newest - 1 : 1));
  const [after, setAfter] = useState(String(newest));
  const one = useRevision(standing.id, Number(before)).data?.setup;
  const two = useRevision(standing.id, Number(after)).data?.setup;
  if (revisions.items === undefined) {
    return revisions.isError ? <Failure error={revisions.error} /> : <Waiting what="revisions" />;
  }
  const numbers = revisions.items.map(
    (each) => [String(each.number), `revision ${each.number}`] as const,
  );
  const restore = async (number: number) => {
    const { setup } = await client.fetchQuery(revisionQuery(standing.id, number));
    revise.mutate(
      { basedOn: newest, reason: `Revision ${number} restored`, setup },
      {
        onSuccess: (made) => change({ type: "restart", basedOn: made.number, setup: made.setup }),
      },
    );
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
          {revisions.items.map((each) => (
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
                    flights.items?.filter((flight) => flight.revisionNumber === each.number) ?? []
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
                <Button look="quiet" onClick={() => void restore(each.number)}>
                  <RotateCcw aria-hidden size={15} /> Restore
                </Button>
              )}
            </li>
          ))}
        </ol>
        <More
          shown={revisions.items.length}
          total={revisions.total}
          more={revisions.more}
          coming={revisions.coming}
        />
        {flights.more !== undefined && (
          <p className="pt-2 text-sm text-soft">
            Shown with the newest {flights.items?.length} flights.{" "}
            <Button look="quiet" onClick={flights.more}>
              Older flights too
            </Button>
          </p>
        )}
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

/** What trims a revision was flown with, first to last. */
function Flown({ trims }: { trims: Flight[] }) {
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

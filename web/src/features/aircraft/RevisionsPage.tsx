import { Download } from "lucide-react";
import { useState } from "react";
import { useFlights, useRevision, useRevisions, type Flight } from "@/api/queries";
import { useFlewWell } from "@/api/history";
import { CONTROL_KEYS, clickWords, day } from "@/domain/words";
import { Button, buttonClass } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Explained } from "@/ui/explained";
import { Failure, Waiting } from "@/ui/message";
import { More } from "@/ui/more";
import { DifferenceList } from "@/features/model/DifferenceList";
import { useModel } from "@/features/model/model";
import { ChangesMadeCard } from "./ChangesMadeCard";
import { WholeModel } from "./WholeModel";
import { GoBack } from "@/features/model/GoBack";
import { say } from "@/words/generated/aircraft";

/** Every saved state, what it did to the trims; two compared, one restored as a new revision. */
export function RevisionsPage() {
  const { standing } = useModel();
  const revisions = useRevisions(standing.id);
  const flights = useFlights(standing.id);
  const well = useFlewWell(standing.id);
  const newest = standing.newest.number;
  const [before, setBefore] = useState(String(newest > 1 ? newest - 1 : 1));
  const [after, setAfter] = useState(String(newest));
  const one = useRevision(standing.id, Number(before)).data?.setup;
  const two = useRevision(standing.id, Number(after)).data?.setup;
  if (revisions.items === undefined) {
    return revisions.isError ? (
      <Failure error={revisions.error} />
    ) : (
      <Waiting what={say("revisionsPage.revisions")} />
    );
  }
  const numbers = revisions.items.map(
    (each) =>
      [String(each.number), say("revisionsPage.revision", { number: each.number })] as const,
  );
  return (
    <div className="mx-auto grid max-w-[1250px] gap-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
      <div className="space-y-4">
        <WholeModel />
        <ChangesMadeCard id={standing.id} />
        <Card title={<Explained term="revision">{say("revisionsPage.title")}</Explained>}>
          {well.isError && <Failure error={well.error} />}
          <p className="mb-2 text-sm text-soft">{say("revisionsPage.markHint")}</p>
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
                <div className="min-w-0 grow basis-4/5">
                  <p className="font-medium">{each.reason}</p>
                  <p className="text-sm text-soft">
                    {day(each.createdAt)}
                    {each.fromAdjustment && say("revisionsPage.adjusted")}
                    {each.corrects && say("revisionsPage.corrected")}
                    {each.restored && say("revisionsPage.broughtBack")}
                    {each.flewWell && (
                      <strong className="text-done"> {say("revisionsPage.flewWell")}</strong>
                    )}
                  </p>
                  <Flown
                    trims={
                      flights.items?.filter((flight) => flight.revisionNumber === each.number) ?? []
                    }
                  />
                </div>
                <a
                  className={buttonClass("quiet")}
                  aria-label={say("revisionsPage.saveFile", { number: each.number })}
                  href={`/api/aircraft/${standing.id}/revisions/${each.number}/file`}
                >
                  <Download aria-hidden size={16} /> {say("revisionsPage.file")}
                </a>
                <Button
                  look="quiet"
                  aria-pressed={each.flewWell}
                  disabled={well.isPending}
                  onClick={() => well.mutate({ number: each.number, flewWell: !each.flewWell })}
                >
                  {each.flewWell ? say("revisionsPage.marked") : say("revisionsPage.mark")}
                </Button>
                {each.number !== newest && <GoBack revision={each.number} />}
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
              {say("revisionsPage.newestShown", { items: flights.items?.length })}{" "}
              <Button look="quiet" onClick={flights.more}>
                {say("revisionsPage.olderFlights")}
              </Button>
            </p>
          )}
        </Card>
      </div>
      <Card title={say("revisionsPage.whatChanged")}>
        <div className="mb-3 flex flex-wrap gap-3">
          <Choice
            label={say("revisionsPage.from")}
            value={before}
            onValue={setBefore}
            options={numbers}
          />
          <Choice
            label={say("revisionsPage.to")}
            value={after}
            onValue={setAfter}
            options={numbers}
          />
        </div>
        {one !== undefined && two !== undefined && (
          <DifferenceList
            before={one}
            after={two}
            beforeName={say("revisionsPage.before", { before })}
            afterName={say("revisionsPage.after", { after })}
          />
        )}
      </Card>
    </div>
  );
}

/** What trims a revision was flown with, first to last. */
function Flown({ trims }: { trims: Flight[] }) {
  return trims.length === 0 ? (
    <p className="text-sm text-soft">{say("revisionsPage.notFlown")}</p>
  ) : (
    <ul className="figures text-sm">
      {[...trims].reverse().map((flight) => (
        <li key={flight.id}>
          {day(flight.report.flownOn)}:{" "}
          {CONTROL_KEYS.filter((key) => flight.report.trims[key] !== 0)
            .map((key) => `${key} ${clickWords(key, flight.report.trims[key])}`)
            .join(", ") || say("revisionsPage.allAtZero")}
        </li>
      ))}
    </ul>
  );
}

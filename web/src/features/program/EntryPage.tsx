import { useState } from "react";
import { useRevisions } from "@/api/queries";
import { useEntries, type Entry } from "@/api/program";
import { useModel } from "@/features/aircraft/model";
import { Button } from "@/ui/button";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";

/** What to type into the transmitter: everything, or only what differs from a revision entered before. */
export function EntryPage() {
  const { standing, draft } = useModel();
  const revisions = useRevisions(standing.id);
  const [entered, setEntered] = useState(
    () => localStorage.getItem(`high-tally.entered.${standing.id}`) ?? "",
  );
  const before = revisions.data?.find((one) => String(one.number) === entered);
  const entries = useEntries(draft.present, before?.setup);
  const choose = (number: string) => {
    setEntered(number);
    localStorage.setItem(`high-tally.entered.${standing.id}`, number);
  };
  const places = [...new Set(entries.data?.map((one) => one.place))];
  return (
    <div className="mx-auto max-w-[900px]">
      <div className="no-print mb-3 flex flex-wrap items-end gap-3">
        <Choice
          label="Already in the transmitter"
          value={entered}
          onValue={choose}
          options={[
            ["", "nothing yet: the whole list"],
            ...(revisions.data ?? []).map(
              (one) => [String(one.number), `revision ${one.number}`] as const,
            ),
          ]}
        />
        <Button look="main" onClick={() => print()}>
          Print
        </Button>
      </div>
      <article className="rounded-card border border-line bg-sheet p-6 print:border-0 print:p-0">
        <h2 className="text-2xl">
          {draft.present.name}:{" "}
          {before === undefined ? "entry sheet" : `what differs from revision ${before.number}`}
        </h2>
        <p className="mb-3 text-sm text-soft">
          High Tally cannot write into a transmitter. Type each value, tick it, then read all of it
          back once. {draft.present.transmitter.name}, motor harmless.
        </p>
        {entries.isError && <Failure error={entries.error} />}
        {entries.data?.length === 0 && <p className="font-medium text-done">Nothing differs.</p>}
        {places.map((place) => (
          <section key={place} className="mb-3 break-inside-avoid">
            <h3 className="border-b border-ink text-base">{place}</h3>
            <table className="figures w-full text-sm" data-entries>
              <tbody>
                {entries.data
                  ?.filter((one) => one.place === place)
                  .map((one) => (
                    <EntryRow key={one.key} one={one} />
                  ))}
              </tbody>
            </table>
          </section>
        ))}
      </article>
    </div>
  );
}

function EntryRow({ one }: { one: Entry }) {
  return (
    <tr className="border-b border-line" data-entry={one.key}>
      <td className="w-6 py-0.5">
        <input type="checkbox" aria-label={`${one.what} entered`} className="size-4" />
      </td>
      <td className="w-1/2 py-0.5 first-letter:uppercase">{one.what}</td>
      <td className="py-0.5 text-soft line-through">{one.before}</td>
      <td className="py-0.5 font-semibold">{one.value}</td>
      <td className="py-0.5 text-xs text-soft">{one.twin === "" ? "" : "must equal its twin"}</td>
    </tr>
  );
}

import { Download } from "lucide-react";
import { useImportFlights } from "@/api/queries";
import { useModel } from "@/features/model/model";
import { buttonClass } from "@/ui/button";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/flightlog";

const BECAME = {
  TAKEN: say("csvCard.added"),
  THERE_ALREADY: say("csvCard.alreadyThere"),
  DIFFERS: say("csvCard.otherValues"),
  REFUSED: say("csvCard.notAdded"),
} as const;

/** Flights out to a spreadsheet and in from one; what cannot be read is said, the rest is taken. */
export function CsvCard() {
  const { standing } = useModel();
  const bring = useImportFlights(standing.id);
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap gap-2">
        <a className={buttonClass("plain")} href={`/api/aircraft/${standing.id}/flights.csv`}>
          <Download aria-hidden size={16} /> {say("csvCard.export")}
        </a>
        <label className={`${buttonClass("plain")} cursor-pointer`}>
          {say("csvCard.import")}
          <input
            type="file"
            accept=".csv,text/csv"
            className="sr-only"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file !== undefined) {
                bring.mutate(file);
              }
            }}
          />
        </label>
      </div>
      {bring.isError && <Failure error={bring.error} />}
      {bring.data !== undefined && (
        <div role="status" data-imported={bring.data.taken}>
          <p className="font-medium">
            {say("csvCard.taken", {
              taken: bring.data.taken,
              there: bring.data.there > 0,
              thereOther: bring.data.there,
            })}
          </p>
          <ul className="text-sm" data-csv-rows>
            {bring.data.rows.map((one) => (
              <li key={one.rows.join()}>
                {say("csvCard.row", {
                  rows: one.rows.join(", "),
                  flownOn: one.flownOn,
                  became: BECAME[one.became],
                })}
              </li>
            ))}
          </ul>
          <ul className="list-disc pl-5 text-sm text-grounded">
            {bring.data.problems.map((one) => (
              <li key={one.row + one.reason}>
                {one.row > 0 ? say("csvCard.refusedRow", { row: one.row }) : one.text}: {one.reason}
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}

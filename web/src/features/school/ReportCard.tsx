import { useEffect } from "react";
import type { TestResult } from "@/api/fly";
import type { SchoolSheet } from "@/api/school";
import { Card } from "@/ui/card";
import { outcomeWords } from "./outcomes";
import { say } from "@/words/generated/school";

const STRENGTH = [
  "",
  say("reportCard.slight"),
  say("reportCard.clear"),
  say("reportCard.strong"),
] as const;

/** What a flight showed or was said to show, in words. */
const seenWords = (sheet: SchoolSheet, seen: TestResult | null) => {
  if (seen === null) {
    return say("reportCard.nothingSaid");
  }
  return seen.seen.length === 0
    ? say("reportCard.asItShouldBe")
    : seen.seen
        .map((one) => `${outcomeWords(sheet, seen, one.outcome)}, ${STRENGTH[one.strength]}`)
        .join("; ");
};

/** What was wrong, what you found, what each flight told, and what the coach would have done. */
export function ReportCard({
  sheet,
  report,
}: {
  sheet: SchoolSheet;
  report: NonNullable<SchoolSheet["report"]>;
}) {
  useEffect(() => scrollTo({ top: 0 }), []);
  const head = "py-1 pr-3 text-left font-medium";
  return (
    <div className="space-y-4" data-report={report.found}>
      <Card
        title={say("reportCard.faults")}
        className={`border-l-4 ${report.found ? "border-l-done" : "border-l-tag"}`}
      >
        {report.faults.length === 0 && <p>{say("reportCard.nothingHidden")}</p>}
        <ul className="list-disc pl-5 text-lg">
          {report.faults.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
        <p className="mt-3 font-semibold">{report.words}</p>
        <p className="figures text-sm text-soft">
          {say("reportCard.howFarOff", {
            before: report.before,
            after: report.after,
            coachAfter: report.coachAfter,
            coachFlights: report.coachFlights,
          })}
        </p>
      </Card>
      <div className="grid gap-4 lg:grid-cols-2">
        <Card title={say("reportCard.flights")}>
          {report.told.length === 0 ? (
            <p className="text-soft">{say("reportCard.nothingFlown")}</p>
          ) : (
            <table className="w-full text-sm">
              <thead>
                <tr>
                  <th className={head}>{say("reportCard.flight")}</th>
                  <th className={head}>{say("reportCard.itShowed")}</th>
                  <th className={head}>{say("reportCard.youSaid")}</th>
                </tr>
              </thead>
              <tbody>
                {report.told.map((one, i) => (
                  <tr key={i} className="border-t border-line align-top">
                    <td className="py-1 pr-3">
                      <span className="figures">{one.flight}</span> {one.test}
                    </td>
                    <td className="py-1 pr-3">{seenWords(sheet, one.truth)}</td>
                    <td className="py-1">
                      {seenWords(sheet, one.seen)}
                      {one.right ? " ✓" : ""}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </Card>
        <Card title={say("reportCard.coachDid")}>
          <ol className="space-y-1 text-sm">
            {report.coach.map((one, i) => (
              <li key={i}>
                <span className="figures text-soft">
                  {say("reportCard.flightNumber", { flight: one.flight })}
                </span>{" "}
                {one.test}, {seenWords(sheet, one.seen)}.
                {one.advice !== null && ` ${one.advice.words}`}
              </li>
            ))}
          </ol>
        </Card>
      </div>
    </div>
  );
}

import { Link } from "react-router";
import type { Plan } from "@/api/queries";
import { Card } from "@/ui/card";
import { Say, say } from "@/words/generated/adjustment";

/** What the new rods bring besides: findings that were not there, values that change in the transmitter. */
export function AfterCards({ plan }: { plan: Plan }) {
  return (
    <>
      {plan.findings.length > 0 && (
        <Card title={say("afterCards.checkedAgain")}>
          <ul className="space-y-1" data-new-findings>
            {plan.findings.map((one) => (
              <li key={one.rule + one.surface} className="border-l-4 border-grounded pl-3">
                <strong>{one.title}</strong> {one.why}
              </li>
            ))}
          </ul>
        </Card>
      )}
      {plan.entries.length > 0 && (
        <Card title={say("afterCards.changesTransmitter")} className="overflow-x-auto">
          <table className="figures w-full text-sm" data-plan-entries>
            <tbody>
              {plan.entries.map((one) => (
                <tr key={one.key} className="border-b border-line">
                  <td className="py-1">{one.menu || one.place}</td>
                  <td className="py-1 first-letter:uppercase">{one.what}</td>
                  <td className="py-1 text-soft line-through">{one.before}</td>
                  <td className="py-1 font-semibold">{one.value}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-1 text-sm text-soft">
            <Say
              id="afterCards.fromFlightToPushrods"
              values={{
                link: (words) => (
                  <Link to="../program/entry" className="underline underline-offset-2">
                    {words}
                  </Link>
                ),
              }}
            />
          </p>
        </Card>
      )}
    </>
  );
}

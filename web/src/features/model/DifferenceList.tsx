import { Fold } from "@/ui/fold";
import { useDifference } from "@/api/program";
import type { Setup } from "@/api/queries";
import { MovementTable } from "./MovementTable";
import { Failure, Waiting } from "@/ui/message";
import { say } from "@/words/generated/model";

interface Props {
  before: Setup;
  after: Setup;
  beforeName: string;
  afterName: string;
}

/** Two setups side by side: every value that differs, and what it does in millimetres. */
export function DifferenceList({ before, after, beforeName, afterName }: Props) {
  const difference = useDifference(before, after, `${beforeName}, ${afterName}`);
  if (difference.data === undefined) {
    return difference.isError ? (
      <Failure error={difference.error} />
    ) : (
      <Waiting what={say("differenceList.theDifference")} />
    );
  }
  const { values, movements } = difference.data;
  return (
    <div className="space-y-3" data-differences={values.length}>
      {values.length === 0 && <p className="font-medium text-done">{say("differenceList.same")}</p>}
      {values.length > 0 && (
        <table className="figures w-full text-sm">
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="py-1 font-medium text-soft">{say("differenceList.what")}</th>
              <th className="py-1 font-medium text-soft">{beforeName}</th>
              <th className="py-1 font-medium text-soft">{afterName}</th>
            </tr>
          </thead>
          <tbody>
            {values.map((one) => (
              <tr key={one.place + one.what} className="border-b border-line align-top">
                <td className="py-0.5">
                  <span className="text-soft">{one.place} </span>
                  {one.what}
                </td>
                <td className="py-0.5">{one.before}</td>
                <td className="py-0.5 font-semibold">{one.after}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {movements.length > 0 && (
        <Fold
          open={movements.length < 13}
          title={
            <span className="font-medium">
              {say("differenceList.movesDiffer", { movements: movements.length })}
            </span>
          }
        >
          <MovementTable lines={movements} names={[beforeName, afterName]} />
        </Fold>
      )}
    </div>
  );
}

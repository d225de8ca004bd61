import type { Schemas } from "@/api/client";
import { lengthSign } from "@/domain/reader";
import { signedLength } from "@/domain/words";
import { say } from "@/words/generated/model";

interface Props {
  lines: Schemas["MovementLine"][];
  /** What stands in the two columns, where it is not before and after. */
  names?: readonly [before: string, after: string];
}

/** What stands or goes elsewhere than before, in millimetres. */
export function MovementTable({ lines, names }: Props) {
  const [before, after] = names ?? [say("movementTable.before"), say("movementTable.after")];
  return (
    <table className="figures mt-1 w-full text-sm">
      <thead>
        <tr className="border-b border-ink text-soft">
          <th className="py-0.5 text-left font-medium" colSpan={2}>
            {say("movementTable.where")}
          </th>
          <th className="py-0.5 text-right font-medium">{before}</th>
          <th className="py-0.5 text-right font-medium">{after}</th>
        </tr>
      </thead>
      <tbody>
        {lines.map((one) => (
          <tr key={one.surface + one.phase + one.where} className="border-b border-line">
            <td className="py-0.5">{one.surface}</td>
            <td className="py-0.5 text-soft">
              {one.phase}, {one.where}
            </td>
            <td className="py-0.5 text-right">{signedLength(one.beforeMm, 1)}</td>
            <td className="py-0.5 text-right font-semibold">
              {signedLength(one.afterMm, 1)} {lengthSign()}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

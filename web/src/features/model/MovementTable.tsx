import type { Schemas } from "@/api/client";
import { lengthSign } from "@/domain/reader";
import { signedLength } from "@/domain/words";

/** What stands or goes elsewhere than before, in millimetres. */
export function MovementTable({ lines }: { lines: Schemas["MovementLine"][] }) {
  return (
    <table className="figures mt-1 w-full text-sm">
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

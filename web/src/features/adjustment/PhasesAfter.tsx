import { figure } from "@/domain/reader";
import type { Plan } from "@/api/queries";
import { CONTROL_KEYS, clickWords, controlName, isNothing, travelWords } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Card } from "@/ui/card";

/** Every phase with the new rods: clicks before and after, what each surface is off by, the throws. */
export function PhasesAfter({ plan }: { plan: Plan }) {
  const { draft } = useModel();
  const wayOf = (id: string) => draft.present.surfaces.find((one) => one.id === id) ?? false;
  return (
    <>
      <Card title="Every phase still flies as trimmed" className="overflow-x-auto">
        <table className="figures w-full text-sm" data-phases-after>
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="py-1 font-medium text-soft">Phase</th>
              {CONTROL_KEYS.map((key) => (
                <th key={key} className="py-1 font-medium text-soft">
                  {controlName(key)}
                </th>
              ))}
              <th className="py-1 font-medium text-soft">Off by</th>
            </tr>
          </thead>
          <tbody>
            {plan.phases.map((phase) => (
              <tr key={phase.phase} className="border-b border-line align-top">
                <td className="py-1">
                  <strong>{phase.name}</strong>
                  {phase.reference && " (into the pushrods)"}
                </td>
                {CONTROL_KEYS.map((key) => (
                  <td key={key} className="py-1">
                    <span className="text-soft line-through">
                      {phase.before[key] === phase.after[key]
                        ? ""
                        : clickWords(key, phase.before[key])}
                    </span>{" "}
                    <span className="font-semibold">{clickWords(key, phase.after[key])}</span>
                  </td>
                ))}
                <td className="py-1">
                  {phase.errors.every((one) => isNothing(one.mm, 1))
                    ? "nothing"
                    : phase.errors
                        .filter((one) => !isNothing(one.mm, 1))
                        .map(
                          (one) =>
                            `${one.name.toLowerCase()} ${travelWords(one.mm, wayOf(one.surface))}`,
                        )
                        .join(", ")}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Card>
      {plan.throwChanges.length > 0 && (
        <Card title="Full travel with the new pushrod lengths" className="overflow-x-auto">
          <table className="figures w-full text-sm">
            <thead>
              <tr className="border-b border-ink text-left">
                <th className="py-1 font-medium text-soft">Surface</th>
                <th className="py-1 font-medium text-soft">One way</th>
                <th className="py-1 font-medium text-soft">The other</th>
                <th className="py-1 font-medium text-soft">Endpoints that restore it</th>
              </tr>
            </thead>
            <tbody>
              {plan.throwChanges.map((one) => (
                <tr key={one.surface} className="border-b border-line">
                  <td className="py-1">{one.name}</td>
                  <td className="py-1">
                    {travelWords(one.plusBefore, wayOf(one.surface))} →{" "}
                    {travelWords(one.plusAfter, wayOf(one.surface))}
                  </td>
                  <td className="py-1">
                    {travelWords(one.minusBefore, wayOf(one.surface))} →{" "}
                    {travelWords(one.minusAfter, wayOf(one.surface))}
                  </td>
                  <td className="py-1">
                    channel {one.channel}:{" "}
                    {one.endpointLow == null ? "cannot" : figure(one.endpointLow, 1)} /{" "}
                    {one.endpointHigh == null ? "cannot" : figure(one.endpointHigh, 1)} %
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Card>
      )}
    </>
  );
}

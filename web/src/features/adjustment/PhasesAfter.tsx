import { figure } from "@/domain/reader";
import type { Plan } from "@/api/queries";
import {
  within,
  CONTROL_KEYS,
  clickWords,
  controlName,
  isNothing,
  travelWords,
} from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Card } from "@/ui/card";
import { say } from "@/words/generated/adjustment";

/** Every phase with the new rods: clicks before and after, what each surface is off by, the throws. */
/** What an endpoint has to be; none where no endpoint brings the throw back. */
const endpoint = (percent: number | null | undefined) =>
  percent == null ? say("phasesAfter.cannot") : figure(percent, 1);

export function PhasesAfter({ plan }: { plan: Plan }) {
  const { draft } = useModel();
  const wayOf = (id: string) => draft.present.surfaces.find((one) => one.id === id) ?? false;
  return (
    <>
      <Card title={say("phasesAfter.phasesStillFly")} className="overflow-x-auto">
        <table className="figures w-full text-sm" data-phases-after>
          <thead>
            <tr className="border-b border-ink text-left">
              <th className="py-1 font-medium text-soft">{say("phasesAfter.phase")}</th>
              {CONTROL_KEYS.map((key) => (
                <th key={key} className="py-1 font-medium text-soft">
                  {controlName(key)}
                </th>
              ))}
              <th className="py-1 font-medium text-soft">{say("phasesAfter.offBy")}</th>
            </tr>
          </thead>
          <tbody>
            {plan.phases.map((phase) => (
              <tr key={phase.phase} className="border-b border-line align-top">
                <td className="py-1">
                  <strong>{phase.name}</strong>
                  {phase.reference && ` ${say("phasesAfter.intoPushrods")}`}
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
                    ? say("phasesAfter.offByNothing")
                    : phase.errors
                        .filter((one) => !isNothing(one.mm, 1))
                        .map(
                          (one) => `${within(one.name)} ${travelWords(one.mm, wayOf(one.surface))}`,
                        )
                        .join(", ")}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Card>
      {plan.throwChanges.length > 0 && (
        <Card title={say("phasesAfter.fullTravel")} className="overflow-x-auto">
          <table className="figures w-full text-sm">
            <thead>
              <tr className="border-b border-ink text-left">
                <th className="py-1 font-medium text-soft">{say("phasesAfter.surface")}</th>
                <th className="py-1 font-medium text-soft">{say("phasesAfter.oneWay")}</th>
                <th className="py-1 font-medium text-soft">{say("phasesAfter.theOther")}</th>
                <th className="py-1 font-medium text-soft">
                  {say("phasesAfter.endpointsRestored")}
                </th>
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
                    {say("phasesAfter.channel", {
                      channel: one.channel,
                      low: endpoint(one.endpointLow),
                      high: endpoint(one.endpointHigh),
                    })}
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

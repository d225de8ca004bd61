import { useSettling } from "@/api/queries";
import { CONTROL_KEYS, controlName } from "@/domain/words";
import { Grounded } from "@/features/model/Grounded";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";

/** One page for the field: boxes for what the flight is to find out, to be typed in afterwards. */
export function FieldCardPage() {
  const { standing, draft } = useModel();
  const sheet = useSettling(standing.id);
  const phases = [...draft.present.phases].reverse();
  const open = (phase: string, control: string) =>
    sheet.data?.series.find((one) => one.phase === phase && one.control === control);
  return (
    <div className="mx-auto max-w-[820px]">
      <div className="no-print mb-3">
        <Button look="main" onClick={() => print()}>
          Print
        </Button>
      </div>
      <article
        className="rounded-card border border-line bg-sheet p-6 print:border-0 print:p-0"
        data-field-card
      >
        <h2 className="text-2xl">{draft.present.name}: field card</h2>
        <p className="mb-3 text-sm text-soft">
          Revision {standing.newest.number}. Calm, height, hands off. Control check from behind,
          propeller clear, local rules first.
        </p>
        <div className="mb-3 empty:hidden">
          <Grounded model={standing.id} grounding={standing.grounding} />
        </div>
        <div className="grid grid-cols-3 gap-3 text-sm">
          {["Date", "Field", "Battery", "Wind", "Air", "Balance point, mm"].map((one) => (
            <p key={one} className="h-12 border border-ink px-2 py-0.5">
              {one}
            </p>
          ))}
        </div>
        <table className="mt-4 w-full border-collapse text-sm">
          <thead>
            <tr className="text-left">
              <th className="border border-ink p-1">Phase</th>
              {CONTROL_KEYS.map((key) => (
                <th key={key} className="border border-ink p-1">
                  {controlName(key)}, clicks and way
                </th>
              ))}
              <th className="border border-ink p-1">Throttle</th>
              <th className="border border-ink p-1">Sure?</th>
            </tr>
          </thead>
          <tbody>
            {phases.map((phase) => (
              <tr key={phase.id} className="h-14 align-top">
                <td className="border border-ink p-1">
                  <strong>{phase.name}</strong>
                  <span className="block text-xs">{phase.goal}</span>
                </td>
                {CONTROL_KEYS.map((key) => (
                  <td key={key} className="w-28 border border-ink p-1 text-xs text-soft">
                    {open(phase.id, key.toUpperCase())?.state === "SETTLED" ? "settled" : ""}
                  </td>
                ))}
                <td className="w-16 border border-ink" />
                <td className="w-14 border border-ink" />
              </tr>
            ))}
          </tbody>
        </table>
        <p className="mt-4 h-24 border border-ink px-2 text-sm">What it did, what to look for</p>
      </article>
    </div>
  );
}

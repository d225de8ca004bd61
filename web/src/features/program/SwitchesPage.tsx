import { AddButton } from "@/features/model/edits";
import { Check } from "@/ui/check";
import { Fold } from "@/ui/fold";
import { useState } from "react";
import { Plus, X } from "lucide-react";
import { useProgramSheet } from "@/api/program";
import { DraftChoice, DraftNumber, DraftText } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { useBench } from "@/features/bench/store";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { RemoveDialog } from "./RemoveDialog";
import { BenchBeside } from "./BenchBeside";

const KINDS = [
  ["SWITCH_AT", "a switch stands at"],
  ["ABOVE", "a stick or lever is above"],
  ["BELOW", "a stick or lever is below"],
  ["PHASE", "a phase is on"],
  ["TELEMETRY_BELOW", "a measured value is below"],
  ["TELEMETRY_ABOVE", "a measured value is above"],
  ["TIMER_ABOVE", "a timer is beyond"],
  ["AND", "all of these"],
  ["OR", "one of these"],
  ["NOT", "not this"],
] as const;

/** Every switch with all that hangs on each position, and every condition as a sentence. */
export function SwitchesPage() {
  const { draft } = useModel();
  const sheet = useProgramSheet(draft.present);
  const rows = sheet.data?.switches ?? [];
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <Card title="Switch plan">
          <table className="w-full text-sm" data-switches>
            <tbody>
              {rows.map((row, i) => (
                <tr
                  key={row.input + row.position}
                  className="border-t border-line align-top first:border-0"
                >
                  <th className="w-40 py-1 pr-2 text-left font-medium first-letter:uppercase">
                    {rows[i - 1]?.input === row.input ? "" : row.name}
                  </th>
                  <td className="figures w-16 py-1 text-soft">
                    {row.position === 0 ? "" : row.position}
                  </td>
                  <td className="py-1">
                    {row.hangs.length === 0 ? (
                      <span className="text-soft">nothing</span>
                    ) : (
                      row.hangs.join(" · ")
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </Card>
        <Conditions sentences={sheet.data?.conditions.map((one) => one.sentence) ?? []} />
      </div>
      <BenchBeside />
    </div>
  );
}

function Conditions({ sentences }: { sentences: string[] }) {
  const [gone, setGone] = useState("");
  const { draft } = useModel();
  const setup = draft.present;
  const truths = useBench((state) => state.frame?.bench.truths);
  return (
    <Card title="Conditions">
      {setup.conditions.map((one, i) => (
        <Fold
          key={one.id}
          className="border-t border-line py-1 first:border-0"
          title={
            <span className="flex  items-baseline gap-2">
              <span
                className={`inline-block w-12 shrink-0 rounded-full text-center text-xs font-semibold ${truths?.[i] ? "bg-brand text-on-brand" : "bg-inset text-soft"}`}
                data-truth={one.id}
              >
                {truths?.[i] ? "true" : "false"}
              </span>
              <span>
                <span className="font-medium">{one.name}</span>{" "}
                <span className="text-sm text-soft">{sentences[i]}</span>
              </span>
            </span>
          }
        >
          <ConditionEditor index={i} onRemove={() => setGone(setup.conditions[i]?.id ?? "")} />
        </Fold>
      ))}
      <AddButton className="mt-2" part="CONDITION">
        <Plus aria-hidden size={16} /> Condition
      </AddButton>
      <RemoveDialog
        id={gone}
        name={setup.conditions.find((one) => one.id === gone)?.name ?? ""}
        onClose={() => setGone("")}
      />
    </Card>
  );
}

function ConditionEditor({ index, onRemove }: { index: number; onRemove: () => void }) {
  const { draft, change } = useModel();
  const setup = draft.present;
  const one = setup.conditions[index];
  if (one === undefined) {
    return null;
  }
  const at = ["conditions", index] as const;
  const combines = one.kind === "AND" || one.kind === "OR" || one.kind === "NOT";
  const inputs = setup.transmitter.inputs.map((each) => [each.id, each.name] as const);
  const subjects =
    one.kind === "SWITCH_AT"
      ? inputs
      : one.kind === "PHASE"
        ? setup.phases.map((each) => [each.id, each.name] as const)
        : one.kind === "TELEMETRY_ABOVE" || one.kind === "TELEMETRY_BELOW"
          ? ([
              ["link", "link quality"],
              ["voltage", "pack voltage"],
            ] as const)
          : one.kind === "TIMER_ABOVE"
            ? setup.power.timers.map((each) => [each.id, each.name] as const)
            : ([
                ["throttle", "throttle"],
                ["roll", "roll"],
                ["pitch", "pitch"],
                ["yaw", "yaw"],
                ...inputs,
              ] as const);
  const others = setup.conditions.filter((each) => each.id !== one.id);
  return (
    <div className="grid grid-cols-2 gap-3 py-2 sm:grid-cols-4">
      <DraftText path={[...at, "name"]} label="Name" />
      <DraftChoice path={[...at, "kind"]} label="True while" options={KINDS} />
      {!combines && <DraftChoice path={[...at, "subject"]} label="Which" options={subjects} />}
      {!combines && one.kind !== "PHASE" && (
        <DraftNumber
          path={[...at, "limit"]}
          label={one.kind === "SWITCH_AT" ? "Position" : "Limit"}
        />
      )}
      <DraftNumber path={[...at, "heldSeconds"]} />
      {combines && (
        <fieldset className="col-span-full flex flex-wrap gap-3 text-sm">
          <legend className="text-soft">Of these</legend>
          {others.map((each) => (
            <Check
              key={each.id}
              checked={one.members.includes(each.id)}
              onChecked={(checked) =>
                change({
                  type: "edit",
                  path: [...at, "members"],
                  value: checked
                    ? [...one.members, each.id]
                    : one.members.filter((member) => member !== each.id),
                })
              }
              label={each.name}
            />
          ))}
        </fieldset>
      )}
      <Button look="quiet" className="justify-self-start" onClick={onRemove}>
        <X aria-hidden size={15} /> Remove
      </Button>
    </div>
  );
}

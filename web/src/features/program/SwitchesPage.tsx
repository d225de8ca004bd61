import { AddButton } from "@/features/model/edits";
import { Check } from "@/ui/check";
import { Fold } from "@/ui/fold";
import { useState } from "react";
import { Plus, X } from "lucide-react";
import { useProgramSheet } from "@/api/program";
import { useConditionLook } from "@/api/edits";
import type { Schemas } from "@/api/client";
import { cataloguePath } from "@/domain/draft";
import { DraftNumber, DraftText, useField } from "@/features/model/fields";
import { Choice } from "@/ui/choice";
import { NumberField } from "@/ui/number-field";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { useBench } from "@/features/bench/store";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { RemoveDialog } from "./RemoveDialog";
import { BenchBeside } from "@/features/bench/BenchBeside";
import { told } from "@/words/generated/enums";
import { Failed } from "@/ui/message";
import { say } from "@/words/generated/program";

const KINDS = (
  [
    "SWITCH_AT",
    "ABOVE",
    "BELOW",
    "PHASE",
    "TELEMETRY_BELOW",
    "TELEMETRY_ABOVE",
    "TIMER_ABOVE",
    "AND",
    "OR",
    "NOT",
  ] as const
).map((kind) => [kind, told("ConditionKind", kind)] as const);

type Kind = Schemas["Condition"]["kind"];

/** Every switch with all that hangs on each position, and every condition as a sentence. */
export function SwitchesPage() {
  const { draft } = useModel();
  const sheet = useProgramSheet(draft.present);
  const rows = sheet.data?.switches ?? [];
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <Card title={say("switchesPage.switchPlan")}>
          <Failed of={[sheet]} />
          <table className="w-full text-sm" data-switches>
            <tbody>
              {rows.map((row, i) => (
                <tr
                  key={row.input + row.position}
                  className="border-t border-line align-top first:border-0"
                >
                  <th
                    scope="row"
                    className="w-40 py-1 pr-2 text-left font-medium first-letter:uppercase"
                  >
                    <span className={rows[i - 1]?.input === row.input ? "sr-only" : ""}>
                      {row.name}
                    </span>
                  </th>
                  <td className="figures w-16 py-1 text-soft">
                    {row.position === 0 ? "" : row.position}
                  </td>
                  <td className="w-44 py-1 pr-2 font-medium">{row.brings}</td>
                  <td className="py-1">
                    {row.hangs.length === 0 ? (
                      <span className="text-soft">{say("switchesPage.nothing")}</span>
                    ) : (
                      row.hangs.join(" · ")
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <Steady />
        </Card>
        <Conditions lines={sheet.data?.conditions ?? []} />
      </div>
      <BenchBeside />
    </div>
  );
}

/** What no switch may move: the search for hazards tells of any that does. */
function Steady() {
  const { draft } = useModel();
  const steady = draft.present.channels.filter((one) => one.steady);
  return steady.length === 0 ? null : (
    <p className="mt-2 border-t border-line pt-2 text-sm" data-steady>
      {say("switchesPage.steady", {
        steady: steady
          .map((one) => say("switchesPage.channel", { number: one.number, name: one.name }))
          .join("; "),
      })}
    </p>
  );
}

function Conditions({ lines }: { lines: Schemas["ConditionLine"][] }) {
  const [gone, setGone] = useState("");
  const { draft } = useModel();
  const setup = draft.present;
  const truths = useBench((state) => state.frame?.bench.truths);
  return (
    <Card title={say("switchesPage.conditions")}>
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
                {truths?.[i] ? say("switchesPage.on") : say("switchesPage.off")}
              </span>
              <span>
                <span className="font-medium">{one.name}</span>{" "}
                <span
                  className={`text-sm ${lines[i]?.finished === false ? "font-medium text-grounded" : "text-soft"}`}
                >
                  {lines[i]?.sentence}
                </span>
              </span>
            </span>
          }
        >
          {lines[i] !== undefined && (
            <ConditionEditor index={i} line={lines[i]} onRemove={() => setGone(one.id)} />
          )}
        </Fold>
      ))}
      <AddButton className="mt-2" part="CONDITION">
        <Plus aria-hidden size={16} /> {say("switchesPage.condition")}
      </AddButton>
      <RemoveDialog
        id={gone}
        name={setup.conditions.find((one) => one.id === gone)?.name ?? ""}
        onClose={() => setGone("")}
      />
    </Card>
  );
}

interface EditorProps {
  index: number;
  line: Schemas["ConditionLine"];
  onRemove: () => void;
}

function ConditionEditor({ index, line, onRemove }: EditorProps) {
  const { draft, change } = useModel();
  const worked = useWorked();
  const looking = useConditionLook();
  const limit = useField(cataloguePath(["conditions", index, "limit"]));
  const setup = draft.present;
  const one = setup.conditions[index];
  if (one === undefined) {
    return null;
  }
  const at = ["conditions", index] as const;
  const look = (kind: Kind, subject: string) =>
    void worked(looking.mutateAsync({ setup, condition: one.id, kind, subject }));
  const combines = one.kind === "AND" || one.kind === "OR" || one.kind === "NOT";
  const others = setup.conditions.filter((each) => each.id !== one.id);
  return (
    <div className="grid grid-cols-2 gap-3 py-2 sm:grid-cols-4">
      <DraftText path={[...at, "name"]} label={say("switchesPage.name")} />
      <Choice
        label={say("switchesPage.onWhile")}
        value={one.kind}
        options={KINDS}
        onValue={(kind) => look(kind, one.subject)}
      />
      {line.subjects.length > 0 && (
        <Choice
          label={say("switchesPage.which")}
          value={one.subject}
          options={line.subjects.map((each) => [each.id, each.name] as const)}
          onValue={(subject) => look(one.kind, subject)}
        />
      )}
      {line.most > line.least && limit !== undefined && (
        <NumberField
          field={{ ...limit, min: line.least, max: line.most, unit: line.unit }}
          label={
            one.kind === "SWITCH_AT" ? say("switchesPage.position") : say("switchesPage.limit")
          }
          value={one.limit}
          onValue={(value, gesture) =>
            change({ type: "edit", path: [...at, "limit"], value, gesture })
          }
        />
      )}
      <DraftNumber path={[...at, "heldSeconds"]} />
      {combines && (
        <fieldset className="col-span-full flex flex-wrap gap-3 text-sm">
          <legend className="text-soft">{say("switchesPage.ofThese")}</legend>
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
        <X aria-hidden size={15} /> {say("switchesPage.remove")}
      </Button>
    </div>
  );
}

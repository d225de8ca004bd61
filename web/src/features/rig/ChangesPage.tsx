import { Check } from "@/ui/check";
import { Plus, X } from "lucide-react";
import { useForm } from "react-hook-form";
import { useMarkCheck, useNoteChange, usePartChanges, type NotedPartChange } from "@/api/rig";
import { capital, day, today } from "@/domain/words";
import { DraftChoice, DraftNumber, DraftText, useField } from "@/features/model/fields";
import { useHasMotor, useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { emptySent, Form, LineField, PickField } from "@/ui/form";
import { Failure } from "@/ui/message";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/rig";

type Kind = NotedPartChange["change"]["kind"];

/** Every kind there is: one that is missing here is not compiled. */
const EACH: Record<Kind, true> = {
  SERVO: true,
  ARM: true,
  ROD: true,
  HORN: true,
  LEAD: true,
  RECEIVER: true,
  TRANSMITTER: true,
  PROPELLER: true,
  MOTOR: true,
  PACK: true,
  STABILISER: true,
  REPAIR: true,
};

const KINDS = (Object.keys(EACH) as Kind[]).map((kind) => [kind, told("PartKind", kind)] as const);

const OF_A_MOTOR: readonly Kind[] = ["PROPELLER", "MOTOR"];

/** Changes made and must be checked again; where figures come from; the pilot's thresholds. */
export function ChangesPage() {
  return (
    <div className="grid gap-4 lg:grid-cols-2">
      <div className="space-y-3">
        <NoteChange />
        <ChangeList />
      </div>
      <div className="space-y-3">
        <Sources />
        <HouseValuesCard />
      </div>
    </div>
  );
}

function NoteChange() {
  const { standing } = useModel();
  const motors = useHasMotor();
  const note = useNoteChange(standing.id);
  const form = useForm({
    defaultValues: { kind: "SERVO" as Kind, subject: "", why: "", changedOn: today() },
  });
  const { control } = form;
  return (
    <Card title={say("changesPage.record")}>
      <Form
        form={form}
        className="grid grid-cols-2 gap-3"
        by={note}
        send={(filled) => {
          const { kind, subject, why, changedOn } = filled;
          note.mutate(
            { change: { kind, subject: subject.trim(), note: why.trim() }, changedOn },
            { onSuccess: () => emptySent(form, filled, "subject", "why") },
          );
        }}
      >
        <PickField
          control={control}
          name="kind"
          label={say("changesPage.what")}
          options={motors ? KINDS : KINDS.filter(([one]) => !OF_A_MOTOR.includes(one))}
        />
        <LineField control={control} name="subject" label={say("changesPage.whichOne")} required />
        <LineField
          control={control}
          name="changedOn"
          label={say("changesPage.changedOn")}
          type="date"
          required
        />
        <LineField control={control} name="why" label={say("changesPage.note")} />
        <Button type="submit" look="main" disabled={note.isPending}>
          {say("changesPage.recordIt")}
        </Button>
      </Form>
    </Card>
  );
}

function ChangeList() {
  const { standing } = useModel();
  const changes = usePartChanges(standing.id);
  const mark = useMarkCheck(standing.id);
  return (
    <>
      {changes.data?.map((one) => (
        <Card
          key={one.id}
          title={say("changesPage.changed", {
            kind: capital(told("PartKind", one.change.kind)),
            subject: one.change.subject,
          })}
          aside={
            <span className="text-sm text-soft">
              {say("changesPage.revision", {
                day: day(one.changedOn),
                revisionNumber: one.revisionNumber,
              })}
            </span>
          }
        >
          {one.change.note !== "" && <p className="mb-1 text-sm">{one.change.note}</p>}
          <p className="text-sm font-semibold">
            {one.checks.every((check) => check.done)
              ? say("changesPage.allDone")
              : say("changesPage.toDo")}
          </p>
          <ul className="mt-1 space-y-1" data-change={one.change.kind}>
            {one.checks.map((check, i) => (
              <li key={check.voided.what}>
                <Check
                  checked={check.done}
                  onChecked={(checked) =>
                    mark.mutate({ changeId: one.id, check: i, done: checked })
                  }
                  label={
                    <>
                      <span>
                        <span className={check.done ? "text-soft line-through" : "font-medium"}>
                          {check.voided.what}
                        </span>{" "}
                        <span className="text-sm text-soft">({check.voided.why})</span>
                      </span>
                    </>
                  }
                />
              </li>
            ))}
          </ul>
        </Card>
      ))}
      {changes.data?.length === 0 && (
        <p className="px-1 text-sm text-soft">{say("changesPage.none")}</p>
      )}
      {(changes.isError || mark.isError) && <Failure error={changes.error ?? mark.error} />}
    </>
  );
}

const GROUPS = [
  ["linkage", say("changesPage.linkage")],
  ["throws", say("changesPage.throws")],
  ["servo", say("changesPage.servo")],
] as const;

function Sources() {
  const { draft, change } = useModel();
  const { sources } = draft.present.notebook;
  const path = ["notebook", "sources"] as const;
  const set = (value: unknown) => change({ type: "edit", path, value });
  const figures = [
    ...draft.present.surfaces.flatMap((one) =>
      GROUPS.map(([group, words]) => [`${one.id}/${group}`, `${one.name}, ${words}`] as const),
    ),
    ["balance", say("changesPage.balance")] as const,
    ["feel", say("changesPage.feel")] as const,
    ["transmitter", say("changesPage.transmitter")] as const,
  ];
  return (
    <Card title={say("changesPage.sources")}>
      {sources.map((_, i) => (
        <div key={i} className="flex items-end gap-2 border-t border-line py-2 first:border-0">
          <div className="grid flex-1 grid-cols-3 gap-2">
            <DraftChoice
              path={[...path, i, "figure"]}
              label={say("changesPage.figure")}
              options={figures}
            />
            <DraftChoice
              path={[...path, i, "kind"]}
              label={say("changesPage.source")}
              options={[
                ["MANUAL", told("SourceKind", "MANUAL")],
                ["MEASURED", told("SourceKind", "MEASURED")],
                ["OTHER_MODEL", told("SourceKind", "OTHER_MODEL")],
                ["OWN", told("SourceKind", "OWN")],
              ]}
            />
            <DraftText path={[...path, i, "note"]} label={say("changesPage.note")} />
          </div>
          <Button
            look="quiet"
            className="!px-2"
            aria-label={say("changesPage.removeSource")}
            onClick={() => set(sources.filter((__, other) => other !== i))}
          >
            <X aria-hidden size={15} />
          </Button>
        </div>
      ))}
      <Button
        onClick={() => set([...sources, { figure: figures[0]?.[0], kind: "MANUAL", note: "" }])}
      >
        <Plus aria-hidden size={16} /> {say("changesPage.source")}
      </Button>
    </Card>
  );
}

function HouseValuesCard() {
  const { draft } = useModel();
  return (
    <Card title={say("changesPage.myLimits")}>
      <p className="mb-2 text-sm text-soft">{say("changesPage.limitsHint")}</p>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        {Object.keys(draft.present.house).map((name) => (
          <HouseNumber key={name} name={name} />
        ))}
      </div>
    </Card>
  );
}

function HouseNumber({ name }: { name: string }) {
  const field = useField(`setup.house.${name}`);
  return field === undefined ? null : <DraftNumber path={["house", name]} />;
}

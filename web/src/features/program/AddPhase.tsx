import { PHASE_ROLES, type PhaseRole } from "@/features/model/roles";
import { useAddPhase } from "@/api/edits";
import { useProgramSheet } from "@/api/program";
import { useForm, useWatch } from "react-hook-form";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { emptySent, Form, LineField, PickField } from "@/ui/form";
import { say } from "@/words/generated/program";

/** Makes a phase separate; what stands today is copied into it. */
export function AddPhase() {
  const { draft } = useModel();
  const worked = useWorked();
  const add = useAddPhase();
  const setup = draft.present;
  const sheet = useProgramSheet(setup);
  const switches = setup.transmitter.inputs.filter((one) => one.kind === "SWITCH");
  const form = useForm({
    defaultValues: {
      name: "",
      from: setup.phases.at(-1)?.id ?? "",
      input: switches[0]?.id ?? "",
      position: "2",
      role: "OTHER" as PhaseRole,
    },
  });
  const { control } = form;
  const input = useWatch({ control, name: "input" });
  const chosen = switches.find((one) => one.id === input);
  return (
    <Card title={say("addPhase.title")}>
      <Form
        form={form}
        className="grid grid-cols-2 gap-3 sm:grid-cols-4"
        by={add}
        send={(filled) => {
          const { name, position, ...rest } = filled;
          const wish = { ...rest, name: name.trim(), position: Number(position) };
          void worked(add.mutateAsync({ setup, ...wish })).then(
            (done) => done && emptySent(form, filled, "name"),
          );
        }}
      >
        <LineField
          control={control}
          name="name"
          label={say("addPhase.name")}
          required
          maxLength={40}
        />
        <PickField
          control={control}
          name="role"
          label={say("addPhase.purpose")}
          options={PHASE_ROLES}
        />
        <PickField
          control={control}
          name="from"
          label={say("addPhase.beginsCopy")}
          options={setup.phases.map((one) => [one.id, one.name] as const)}
        />
        <PickField
          control={control}
          name="input"
          label={say("addPhase.switch")}
          options={switches.map((one) => [one.id, one.name] as const)}
        />
        <PickField
          control={control}
          name="position"
          label={say("addPhase.position")}
          options={Array.from({ length: chosen?.positions ?? 2 }, (_, i) => {
            const brings = sheet.data?.switches.find(
              (row) => row.input === input && row.position === i + 1,
            )?.brings;
            return [`${i + 1}`, brings ? `${i + 1}: ${brings}` : `${i + 1}`] as const;
          })}
        />
        <Button type="submit" look="main" disabled={add.isPending || switches.length === 0}>
          {say("addPhase.add")}
        </Button>
      </Form>
      <p className="mt-2 text-xs text-soft">{say("addPhase.hint")}</p>
    </Card>
  );
}

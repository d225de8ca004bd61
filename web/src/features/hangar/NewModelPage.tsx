import { RadioGroup } from "radix-ui";
import { useState } from "react";
import { useForm, useWatch } from "react-hook-form";
import { useNavigate } from "react-router";
import { useAddAircraft, useKinds, type Setup } from "@/api/queries";
import { stickMode } from "@/domain/stick-mode";
import { Button } from "@/ui/button";
import { Form } from "@/ui/form";
import { Failure, Waiting } from "@/ui/message";
import { Silhouette } from "./Silhouette";
import { say } from "@/words/generated/hangar";

/** A new model from a kind of airframe; everything about it can be changed afterwards. */
export function NewModelPage() {
  const kinds = useKinds();
  const add = useAddAircraft();
  const navigate = useNavigate();
  const form = useForm({ defaultValues: { name: "" } });
  const name = useWatch({ control: form.control, name: "name" });
  const [chosen, setChosen] = useState<Setup>();
  if (kinds.data === undefined) {
    return kinds.isError ? (
      <Failure error={kinds.error} />
    ) : (
      <Waiting what={say("newModelPage.theKinds")} />
    );
  }
  const start = () => {
    if (chosen !== undefined) {
      add.mutate(
        {
          reason: say("newModelPage.startedFrom", { kind: chosen.airframe.kind }),
          setup: {
            ...chosen,
            name: name.trim(),
            transmitter: { ...chosen.transmitter, stickMode: Number(stickMode.now()) },
          },
        },
        { onSuccess: ({ id }) => void navigate(`/models/${id}/rig`) },
      );
    }
  };
  return (
    <div className="mx-auto max-w-[1200px] space-y-4 p-4 sm:p-6">
      <h1 className="text-2xl">{say("newModelPage.newModel")}</h1>
      <p className="text-soft">{say("newModelPage.hint")}</p>
      <RadioGroup.Root
        aria-label={say("newModelPage.kind")}
        value={chosen?.airframe.kind ?? ""}
        onValueChange={(kind) => setChosen(kinds.data.find((one) => one.airframe.kind === kind))}
        className="grid grid-cols-2 gap-3 sm:grid-cols-3 lg:grid-cols-5"
      >
        {kinds.data.map((kind) => (
          <RadioGroup.Item
            key={kind.airframe.kind}
            value={kind.airframe.kind}
            className="flex flex-col items-center rounded-card border border-line bg-sheet p-3 text-center hover:border-line-strong data-[state=checked]:border-brand data-[state=checked]:outline-3 data-[state=checked]:outline-brand"
          >
            <span className="grid h-28 w-full place-items-center overflow-hidden [&_svg]:max-h-28">
              <Silhouette setup={kind} />
            </span>
            <span className="mt-1 text-sm leading-tight font-medium">{kind.airframe.kind}</span>
            <span className="text-xs text-soft">
              {say("newModelPage.servos", { servos: kind.servos.length })}
            </span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      {add.isError && <Failure error={add.error} />}
      <Form
        form={form}
        className="sticky bottom-0 flex flex-wrap items-end gap-3 border-t border-line bg-mat py-3"
        send={start}
      >
        <label className="block">
          <span className="mb-0.5 block text-sm text-soft">{say("newModelPage.modelName")}</span>
          <input
            maxLength={60}
            className="h-11 w-72 rounded-card border border-line-strong bg-sheet px-3"
            {...form.register("name")}
          />
        </label>
        <Button
          type="submit"
          look="main"
          className="min-h-11"
          disabled={chosen === undefined || name.trim() === "" || add.isPending}
        >
          {say("newModelPage.create")}
        </Button>
      </Form>
    </div>
  );
}

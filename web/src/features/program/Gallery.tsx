import { typed, written } from "@/domain/reader";
import { useBuildMix } from "@/api/edits";
import { Plus } from "lucide-react";
import { useState } from "react";
import { Controller, useForm, type Control } from "react-hook-form";
import { useGallery, type RecipeCard } from "@/api/program";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { WhenChoice } from "./parts";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Form, LineField, PickField } from "@/ui/form";
import { say } from "@/words/generated/program";

/** Common mixes, built from what the pilot knows. */
export function Gallery() {
  const { draft } = useModel();
  const worked = useWorked();
  const gallery = useGallery(draft.present);
  const build = useBuildMix();
  const [chosen, setChosen] = useState<RecipeCard>();
  const phases = draft.present.phases;
  const levers = draft.present.transmitter.inputs.filter((one) => one.kind === "LEVER");
  const blank = { percent: "", phase: "", acts: "", when: "", lever: levers[0]?.id ?? "" };
  const form = useForm({ defaultValues: blank });
  const { control } = form;
  const add = ({ percent, phase, acts, when, lever }: typeof blank) => {
    if (chosen === undefined) {
      return;
    }
    void worked(
      build.mutateAsync({
        setup: draft.present,
        recipe: chosen.recipe,
        percent: typed(percent),
        lever: chosen.needsLever ? lever : "",
        preset: chosen.asksPreset ? phase : "",
        phases: acts === "" ? [] : [acts],
        when,
      }),
    ).then((done) => {
      if (done !== undefined) {
        // Another one may have been taken up meanwhile: that one stays.
        setChosen((now) => (now?.recipe === chosen.recipe ? undefined : now));
      }
    });
  };
  return (
    <Card title={say("gallery.title")}>
      <div className="flex flex-wrap gap-1.5">
        {gallery.data?.map((card) => (
          <Button
            key={card.recipe}
            look={chosen?.recipe === card.recipe ? "main" : "plain"}
            className="!min-h-8 text-sm"
            onClick={() => {
              setChosen(card);
              form.reset({ ...blank, percent: written(card.start) });
            }}
          >
            {card.title}
          </Button>
        ))}
      </div>
      {chosen !== undefined && (
        <Form
          form={form}
          className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3"
          send={add}
          by={build}
        >
          <p className="w-full font-medium">{chosen.reason}</p>
          {chosen.note !== "" && (
            <p className="w-full border-l-4 border-tag bg-inset px-3 py-1 text-sm" role="note">
              {chosen.note}
            </p>
          )}
          <div className="max-w-sm">
            <LineField
              control={control}
              name="percent"
              label={chosen.asks}
              inputMode="decimal"
              required
              width="w-28"
            />
          </div>
          {chosen.needsLever && (
            <PickField
              control={control}
              name="lever"
              label={say("gallery.lever")}
              options={levers.map((one) => [one.id, one.name] as const)}
            />
          )}
          {phases.length > 1 && chosen.asksPreset && (
            <PhaseChoice
              label={say("gallery.preset")}
              none={say("gallery.useFigure")}
              control={control}
              name="phase"
            />
          )}
          {phases.length > 1 && (
            <PhaseChoice
              label={say("gallery.actsIn")}
              none={say("gallery.allPhases")}
              control={control}
              name="acts"
            />
          )}
          <Controller
            control={control}
            name="when"
            render={({ field }) => (
              <WhenChoice
                label={say("gallery.onWhile")}
                none={say("gallery.always")}
                value={field.value}
                onValue={field.onChange}
              />
            )}
          />
          <Button type="submit" look="main" disabled={build.isPending}>
            <Plus aria-hidden size={16} /> {say("gallery.add")}
          </Button>
        </Form>
      )}
    </Card>
  );
}

interface PhaseProps {
  label: string;
  none: string;
  control: Control<{ percent: string; phase: string; acts: string; when: string; lever: string }>;
  name: "phase" | "acts";
}

function PhaseChoice({ none, ...choice }: PhaseProps) {
  const { phases } = useModel().draft.present;
  return (
    <PickField
      {...choice}
      options={[["", none], ...phases.map((one) => [one.id, one.name] as const)]}
    />
  );
}

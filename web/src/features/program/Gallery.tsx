import { typed, written } from "@/domain/reader";
import { useBuildMix } from "@/api/edits";
import { Plus } from "lucide-react";
import { useState } from "react";
import { useGallery, type RecipeCard } from "@/api/program";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { WhenChoice } from "./parts";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";
import { say } from "@/words/generated/program";

/** Common mixes, built from what the pilot knows. */
export function Gallery() {
  const { draft } = useModel();
  const worked = useWorked();
  const gallery = useGallery(draft.present);
  const build = useBuildMix();
  const [chosen, setChosen] = useState<RecipeCard>();
  const [percent, setPercent] = useState("");
  const [phase, setPhase] = useState("");
  const [acts, setActs] = useState("");
  const [lever, setLever] = useState("");
  const [when, setWhen] = useState("");
  const phases = draft.present.phases;
  const levers = draft.present.transmitter.inputs.filter((one) => one.kind === "LEVER");
  const add = () => {
    if (chosen === undefined) {
      return;
    }
    void worked(
      build.mutateAsync({
        setup: draft.present,
        recipe: chosen.recipe,
        percent: typed(percent),
        lever: chosen.needsLever ? lever || (levers[0]?.id ?? "") : "",
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
    <Card title={say("gallery.addAMix")}>
      <div className="flex flex-wrap gap-1.5">
        {gallery.data?.map((card) => (
          <Button
            key={card.recipe}
            look={chosen?.recipe === card.recipe ? "main" : "plain"}
            className="!min-h-8 text-sm"
            onClick={() => {
              setChosen(card);
              setPercent(written(card.start));
              setPhase("");
              setActs("");
              setWhen("");
            }}
          >
            {card.title}
          </Button>
        ))}
      </div>
      {chosen !== undefined && (
        <form
          className="mt-3 flex flex-wrap items-end gap-3 border-t border-line pt-3"
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
        >
          <p className="w-full font-medium">{chosen.reason}</p>
          {chosen.note !== "" && (
            <p className="w-full border-l-4 border-tag bg-inset px-3 py-1 text-sm" role="note">
              {chosen.note}
            </p>
          )}
          <div className="max-w-sm">
            <TextLine
              label={chosen.asks}
              inputMode="decimal"
              required
              width="w-28"
              value={percent}
              onValue={setPercent}
            />
          </div>
          {chosen.needsLever && (
            <Choice
              label={say("gallery.lever")}
              value={lever || (levers[0]?.id ?? "")}
              onValue={setLever}
              options={levers.map((one) => [one.id, one.name] as const)}
            />
          )}
          {phases.length > 1 && chosen.asksPreset && (
            <PhaseChoice
              label={say("gallery.presetOfPhase")}
              none={say("gallery.noneUseTheFigure")}
              value={phase}
              onValue={setPhase}
            />
          )}
          {phases.length > 1 && (
            <PhaseChoice
              label={say("gallery.actsIn")}
              none={say("gallery.allPhases")}
              value={acts}
              onValue={setActs}
            />
          )}
          <WhenChoice
            label={say("gallery.onWhile")}
            none={say("gallery.always")}
            value={when}
            onValue={setWhen}
          />
          <Button type="submit" look="main" disabled={build.isPending}>
            <Plus aria-hidden size={16} /> {say("gallery.addThisMix")}
          </Button>
        </form>
      )}
      {build.isError && <Failure error={build.error} />}
    </Card>
  );
}

interface PhaseProps {
  label: string;
  none: string;
  value: string;
  onValue: (phase: string) => void;
}

function PhaseChoice({ none, ...choice }: PhaseProps) {
  const { phases } = useModel().draft.present;
  return (
    <Choice
      {...choice}
      options={[["", none], ...phases.map((one) => [one.id, one.name] as const)]}
    />
  );
}

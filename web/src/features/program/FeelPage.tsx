import { inLength, lengthSign } from "@/domain/reader";
import { useState } from "react";
import { useFeelLines } from "@/api/program";
import {
  within,
  CONTROL_KEYS,
  STICK_ENDS,
  controlName,
  keyOf,
  travelWords,
  type Control,
  type ControlKey,
} from "@/domain/words";
import { DraftChoice } from "@/features/model/fields";
import { useBench } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Chart } from "@/ui/chart";
import { Failure, Waiting } from "@/ui/message";
import { BenchBeside } from "@/features/bench/BenchBeside";
import { Became } from "./Became";
import { Convert, Copies, SHAPES } from "./FeelCopies";
import { UnitChoice } from "./MovementField";
import { RateRow } from "./RateRow";
import { FeelSetsCard } from "./FeelSetsCard";
import { FeelWords } from "./FeelWords";
import { Term } from "./Term";
import { Say, say } from "@/words/generated/program";

const CONTROLS = CONTROL_KEYS.map(
  (key) => [key.toUpperCase() as Control, controlName(key)] as const,
);

/** How the sticks feel: every position of a control drawn together, and what a pilot's words mean. */
export function FeelPage() {
  const { draft } = useModel();
  const [control, setControl] = useState<Control>("ROLL");
  const [chosen, setChosen] = useState("");
  const take = (value: Control) => {
    setControl(value);
    setChosen("");
  };
  const bench = useBench((state) => state.moment);
  const known = draft.present.surfaces.some((one) => one.id === chosen) ? chosen : "";
  const together = useFeelLines(draft.present, bench, control, known);
  const key = keyOf(control);
  const path = ["feel", key] as const;
  const surface = draft.present.surfaces.find((one) => one.id === together.data?.surface);
  const has = `has${controlName(key)}` as "hasRoll" | "hasPitch" | "hasYaw";
  const sets = draft.present.feelSets.filter((one) => one[has]);
  const lines = together.data?.lines ?? [];
  const lineOf = (set: string) =>
    lines.find((one) => one.set === set && one.here) ?? lines.find((one) => one.set === set);
  const named = (id: string) => draft.present.phases.find((one) => one.id === id)?.name ?? id;
  const called = (set: string) =>
    sets.find((one) => one.id === set)?.name ?? say("feelPage.standardRates");
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <Card
          title={say("feelPage.allPositions", { controlName: controlName(key) })}
          aside={
            <div className="flex flex-wrap gap-2">
              <ShowFor control={control} onControl={take} surface={known} onSurface={setChosen} />
              <UnitChoice />
            </div>
          }
        >
          {together.isError && <Failure error={together.error} />}
          {together.isPending && <Waiting what={say("feelPage.theThrows")} />}
          {together.data !== undefined && surface === undefined && (
            <p data-rates={`none/${key}`}>{say("feelPage.noSurface")}</p>
          )}
          {together.data !== undefined && surface !== undefined && (
            <Chart
              label={say("feelPage.picture", { surface: surface.name })}
              xLabel={STICK_ENDS[control]}
              yLabel={say("feelPage.atThe", {
                lengthSign: lengthSign(),
                surface: within(surface.name),
              })}
              height={190}
              lines={lines.map((one) => ({
                name: `${called(one.set)}, ${one.phases.map(named).join(", ")}: ${travelWords(one.mm.at(-1) ?? 0, surface)}`,
                xs: together.data.sticks,
                ys: one.mm.map(inLength),
              }))}
            />
          )}
          {together.data !== undefined && surface !== undefined && (
            <div className="mt-2">
              <RateRow
                key={`${control}/`}
                set=""
                name={say("feelPage.standardRates")}
                control={control}
                response={draft.present.feel[key]}
                path={path}
                surface={surface.id}
                plusSide={together.data.plusSide}
                throwWords={together.data.throwWords}
                line={lineOf("")}
              />
              {sets.map((one) => (
                <RateRow
                  key={`${control}/${one.id}`}
                  set={one.id}
                  name={one.name}
                  control={control}
                  response={one.feel[key]}
                  path={["feelSets", draft.present.feelSets.indexOf(one), "feel", key]}
                  surface={surface.id}
                  plusSide={together.data.plusSide}
                  throwWords={together.data.throwWords}
                  line={lineOf(one.id)}
                />
              ))}
            </div>
          )}
          <Shape path={path} />
        </Card>
        <Became />
        <FeelWords
          key={control}
          control={control}
          sets={sets.map((one) => [one.id, one.name] as const)}
        />
        <div className="grid gap-3 sm:grid-cols-2">
          <Convert key={control} control={control} />
          <Copies control={control} />
        </div>
        <FeelSetsCard />
      </div>
      <BenchBeside />
    </div>
  );
}

interface ShowProps {
  control: Control;
  onControl: (control: Control) => void;
  /** Empty for the one the control moves most. */
  surface: string;
  onSurface: (id: string) => void;
}

/** Which control is drawn, at which surface. */
function ShowFor({ control, onControl, surface, onSurface }: ShowProps) {
  const { draft } = useModel();
  return (
    <>
      <Choice
        label={say("feelPage.control")}
        value={control}
        onValue={(value) => onControl(value as Control)}
        options={CONTROLS}
      />
      <Choice
        label={say("feelPage.showFor")}
        value={surface}
        onValue={onSurface}
        options={[
          ["", say("feelPage.mostMoved")],
          ...draft.present.surfaces.map((one) => [one.id, one.name] as const),
        ]}
      />
    </>
  );
}

/** The shape of the stick's answer, and what its figures are called. */
function Shape({ path }: { path: readonly ["feel", ControlKey] }) {
  return (
    <div className="flex flex-wrap items-end gap-4 text-sm">
      <div className="w-40">
        <DraftChoice path={[...path, "shape"]} label={say("feelPage.shape")} options={SHAPES} />
      </div>
      <p>
        <Say
          id="feelPage.term"
          values={{ term: <Term name="rate" />, termOther: <Term name="expo" /> }}
        />
      </p>
    </div>
  );
}

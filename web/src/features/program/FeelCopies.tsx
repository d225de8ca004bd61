import { useState } from "react";
import { useConvertFeel } from "@/api/program";
import { useHangar, useStanding } from "@/api/queries";
import { figure } from "@/domain/reader";
import { CONTROL_KEYS, CONTROL_WORDS, controlName, keyOf, type Control } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/program";

export const SHAPES = [
  ["CUBIC", told("Shape", "CUBIC")],
  ["SQUARE", told("Shape", "SQUARE")],
  ["EXPONENTIAL", told("Shape", "EXPONENTIAL")],
] as const;
export type Shape = (typeof SHAPES)[number][0];

/** The same feel where a transmitter shapes expo differently. */
export function Convert({ control }: { control: Control }) {
  const { draft, change } = useModel();
  const convert = useConvertFeel();
  const key = keyOf(control);
  const response = draft.present.feel[key];
  const [to, setTo] = useState<Shape>(response.shape === "CUBIC" ? "SQUARE" : "CUBIC");
  const take = (keep: "CENTRE_SLOPE" | "WHOLE_CURVE") =>
    convert.mutate(
      { response, to, keep },
      {
        onSuccess: (found) => change({ type: "edit", path: ["feel", key], value: found.response }),
      },
    );
  return (
    <Card title={say("feelCopies.otherTransmitter")}>
      <p className="mb-2 text-sm text-soft">{say("feelCopies.shapesDiffer")}</p>
      <div className="flex flex-wrap items-end gap-2">
        <Choice
          label={say("feelCopies.expoShape")}
          value={to}
          onValue={(value) => setTo(value as Shape)}
          options={SHAPES}
        />
        <Button onClick={() => take("CENTRE_SLOPE")}>{say("feelCopies.matchCentre")}</Button>
        <Button onClick={() => take("WHOLE_CURVE")}>{say("feelCopies.matchCurve")}</Button>
      </div>
      {convert.data !== undefined && (
        <p className="mt-2 text-sm" role="status">
          {say("feelCopies.deviation", {
            expoNegativePercent: convert.data.response.expoNegativePercent,
            expoPositivePercent: convert.data.response.expoPositivePercent,
            figure: figure(convert.data.largestDifferencePercent, 1),
          })}
        </p>
      )}
      {convert.isError && <Failure error={convert.error} />}
    </Card>
  );
}

/** A feel from another control or another model, to begin with. */
export function Copies({ control }: { control: Control }) {
  const { standing, draft, change } = useModel();
  const hangar = useHangar();
  const others = hangar.items?.filter((one) => one.id !== standing.id) ?? [];
  const [model, setModel] = useState("");
  const chosen = useStanding(Number(model || standing.id));
  const key = keyOf(control);
  const copy = (from: (typeof CONTROL_KEYS)[number]) =>
    change({ type: "edit", path: ["feel", key], value: draft.present.feel[from] });
  return (
    <Card title={say("feelCopies.copy")}>
      <div className="flex flex-wrap items-end gap-2">
        {CONTROL_KEYS.filter((one) => one !== key).map((one) => (
          <Button key={one} onClick={() => copy(one)}>
            {say("feelCopies.to", { from: controlName(one), to: CONTROL_WORDS[key] })}
          </Button>
        ))}
        <Choice
          label={say("feelCopies.fromModel")}
          value={model}
          onValue={setModel}
          options={[
            ["", say("feelCopies.choose")],
            ...others.map((one) => [String(one.id), one.name] as const),
          ]}
        />
        {model !== "" && chosen.data !== undefined && (
          <Button
            onClick={() =>
              change({ type: "edit", path: ["feel"], value: chosen.data.newest.setup.feel })
            }
          >
            {say("feelCopies.copyRates")}
          </Button>
        )}
      </div>
      <p className="mt-2 text-xs text-soft">{say("feelCopies.startingPoint")}</p>
    </Card>
  );
}

import { length, lengthFigure, lengthSign, typedLength } from "@/domain/reader";
import { TriedMend } from "@/features/model/TriedMend";
import { useMutation } from "@tanstack/react-query";
import { useForm, useWatch } from "react-hook-form";
import { answered, api, type Schemas } from "@/api/client";
import { wayWords } from "@/domain/words";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Form } from "@/ui/form";
import { useModel } from "@/features/model/model";
import { say } from "@/words/generated/aircraft";

type Found = Schemas["Explained"];

/** Where the stick stands for each reading; the first two are enough to begin with. */
const STICKS = [1, -1, 0.5, -0.5] as const;

/** Throws measured with the ruler: the geometry that explains them, and both sides made equal. */
export function MeasuredCard({ index }: { index: number }) {
  const { draft } = useModel();
  const surface = draft.present.surfaces[index];
  const form = useForm({ defaultValues: { typed: STICKS.map(() => "") } });
  const typed = useWatch({ control: form.control, name: "typed" });
  const ask = useMutation({
    mutationFn: (body: Schemas["MeasuredQuestion"]) =>
      answered(api.POST("/api/rig/measured", { body })),
  });
  if (surface === undefined) {
    return null;
  }
  const [plus, minus] = wayWords(surface);
  const readings = STICKS.flatMap((stick, i) => {
    const travelMm = typedLength(typed[i] ?? "");
    return Number.isNaN(travelMm) ? [] : [{ stick, travelMm }];
  });
  const submit = () => ask.mutate({ setup: draft.present, surface: surface.id, readings });
  return (
    <Card title={say("measuredCard.measuredThrows")}>
      <Form form={form} send={submit} by={ask}>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
          {[
            say("measuredCard.fullPlus"),
            say("measuredCard.fullMinus"),
            say("measuredCard.halfPlus"),
            say("measuredCard.halfMinus"),
          ].map((label, i) => (
            <label key={label} className="block text-sm">
              <span className="mb-0.5 block text-soft">
                {label}, {lengthSign()}
              </span>
              <input
                inputMode="decimal"
                className="figures h-9 w-full rounded-card border border-line-strong bg-sheet px-2.5 font-medium"
                {...form.register(`typed.${i}`)}
              />
            </label>
          ))}
        </div>
        <p className="mt-1 text-xs text-soft">{say("measuredCard.signs", { plus, minus })}</p>
        <Button type="submit" className="mt-2" disabled={readings.length < 2 || ask.isPending}>
          {say("measuredCard.findReason")}
        </Button>
      </Form>
      {ask.data !== undefined && <Explained found={ask.data} />}
    </Card>
  );
}

function Explained({ found }: { found: Found }) {
  const { answer } = found;
  const fitting = answer.explanations.filter((one) => one.explains).length;
  return (
    <div className="figures mt-3 space-y-2 text-sm" data-explained>
      {answer.question !== "" && (
        <p role="alert" className="font-semibold text-grounded">
          {answer.question}
        </p>
      )}
      <p>
        {say("measuredCard.expected", {
          expectedMm: answer.expectedMm.map((mm) => lengthFigure(mm, 1)).join(" / "),
          lengthSign: lengthSign(),
          fitting: fitting === 0,
          fittingOther: fitting > 1,
        })}
      </p>
      <ul className="space-y-1">
        {answer.explanations.map((one, i) => (
          <li key={one.words}>
            <span className={one.explains ? "font-medium" : "text-soft"}>
              {say("measuredCard.remainsUnexplained", {
                words: one.words,
                length: length(one.leftOverMm, 2),
              })}
            </span>
            {one.explains && found.mends[i] !== undefined && (
              <TriedMend mend={found.mends[i]} label={say("measuredCard.takeIt")} />
            )}
          </li>
        ))}
      </ul>
      {found.even.map((mend) => (
        <TriedMend key={mend.words} mend={mend} />
      ))}
    </div>
  );
}

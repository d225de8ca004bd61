import { lengthSign, typedLength } from "@/domain/reader";
import { Controller, useForm, useWatch } from "react-hook-form";
import { type OpenAdjustment, type PlannedRod } from "@/api/queries";
import { useMark } from "@/api/field-work";
import { size, travelWords } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Form, LineField } from "@/ui/form";
import { Stepper } from "@/ui/stepper";
import { WentChoice, type Went } from "./WentChoice";
import { Say, say } from "@/words/generated/adjustment";

const MOST = 40;

/** After turning: at the mark, how many turns it took, and off by how much. */
export function MarkPanel({ open, rod }: { open: OpenAdjustment; rod: PlannedRod }) {
  const { standing, draft } = useModel();
  const mark = useMark(standing.id);
  const seen = open.marks.find((one) => one.surface === rod.surface);
  const surface = draft.present.surfaces.find((one) => one.id === rod.surface);
  const form = useForm({
    defaultValues: { steps: seen?.steps ?? rod.steps, off: "", way: "SAME" as Went },
  });
  const { control } = form;
  const { off = "", way } = useWatch({ control });
  const mm = way === "SAME" ? 0 : typedLength(off);
  const ready = way === "SAME" || Number.isFinite(mm);
  const { unit } = rod;
  const words = (count: number) =>
    count === 0
      ? say("markPanel.no", { unit })
      : say("markPanel.pushrod", { size: size(count, 0), unit, count: count > 0 });
  return (
    <div className="mt-5 space-y-3 border-t border-line pt-4 text-lg" data-mark={rod.surface}>
      <p>
        <Say id="markPanel.instruction" values={{ b: (words) => <strong>{words}</strong> }} />
      </p>
      <Form
        form={form}
        className="flex flex-wrap items-end gap-4"
        by={mark}
        send={(filled) => {
          if (ready) {
            const { steps, way } = filled;
            mark.mutate({
              version: open.version,
              mark: { surface: rod.surface, steps, offMm: mm, way },
            });
          }
        }}
      >
        <div className="w-64">
          <p className="text-center text-sm text-soft">{say("markPanel.itTook")}</p>
          <Controller
            control={control}
            name="steps"
            render={({ field }) => (
              <Stepper
                label={say("markPanel.turned")}
                unit={unit}
                words={words(field.value)}
                value={field.value}
                min={-MOST}
                max={MOST}
                onValue={field.onChange}
              />
            )}
          />
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <WentChoice
            label={say("markPanel.edgeOff")}
            same={say("markPanel.atItsMark")}
            way={surface ?? false}
            control={control}
          />
          {way !== "SAME" && (
            <LineField
              control={control}
              name="off"
              label={say("markPanel.offBy", { lengthSign: lengthSign() })}
              inputMode="decimal"
              width="w-28"
            />
          )}
        </div>
        <Button type="submit" look="main" disabled={mark.isPending || !ready}>
          {way === "SAME" ? say("markPanel.atTheMark") : say("markPanel.noteOff")}
        </Button>
      </Form>
      {seen !== undefined && (
        <p role="status" className="text-done" data-marked={seen.steps}>
          {say("markPanel.noted", {
            words: words(seen.steps),
            offMm: seen.offMm === 0,
            travel: travelWords(seen.offMm, surface ?? false),
          })}
        </p>
      )}
    </div>
  );
}

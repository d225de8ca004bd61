import { lengthSign, typedLength } from "@/domain/reader";
import { useForm } from "react-hook-form";
import { useCorrect, useMeasured, type Story } from "@/api/history";
import { percent } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Form, LineField } from "@/ui/form";
import { Failure } from "@/ui/message";
import { say } from "@/words/generated/adjustment";

type Calibration = Story["learned"];

/** What explains the measurements: a correction to agree to, or the measurement that tells. */
export function CalibrationCard({ story }: { story: Story }) {
  const { learned } = story;
  const { named, next } = learned;
  if (named == null && next == null) {
    return null;
  }
  return (
    <Card
      title={
        named == null
          ? say("calibrationCard.measurementTells")
          : say("calibrationCard.explanations")
      }
      aside={<Weights learned={learned} />}
    >
      {named != null && <Named named={named} />}
      {next != null && <Measure key={next.words} next={next} />}
    </Card>
  );
}

function Weights({ learned }: { learned: Calibration }) {
  return learned.observations === 0 ? null : (
    <span className="figures text-sm text-soft" data-observations={learned.observations}>
      {say("calibrationCard.readingsUsed", {
        observations: learned.observations,
        explanations:
          learned.explanations[0] !== undefined &&
          `, ${percent(learned.explanations[0].probability)} %`,
      })}
    </span>
  );
}

function Named({ named }: { named: NonNullable<Calibration["named"]> }) {
  const { standing } = useModel();
  const correct = useCorrect(standing.id);
  return (
    <div data-named={named.cause}>
      <p className="text-lg">{named.words}</p>
      <p className="mb-2 text-sm text-soft">{say("calibrationCard.correctionAgreed")}</p>
      <Button
        look="main"
        disabled={correct.isPending}
        onClick={() =>
          correct.mutate({
            basedOn: standing.newest.number,
            cause: named.cause,
            subject: named.subject,
          })
        }
      >
        {say("calibrationCard.correctTheDescription")}
      </Button>
      {correct.isError && <Failure error={correct.error} />}
    </div>
  );
}

function Measure({ next }: { next: NonNullable<Calibration["next"]> }) {
  const { standing } = useModel();
  const measured = useMeasured(standing.id);
  const form = useForm({ defaultValues: { went: "" } });
  return (
    <Form
      form={form}
      data-measure={next.kind}
      className="space-y-2"
      by={measured}
      send={({ went }) => {
        const mm = typedLength(went);
        if (Number.isFinite(mm)) {
          const { surface, kind, control, amount } = next;
          measured.mutate({ surface, kind, control, amount, mm });
        }
      }}
    >
      <p>{next.words}</p>
      <div className="flex flex-wrap items-end gap-2">
        <LineField
          control={form.control}
          name="went"
          label={say("calibrationCard.edgeWent", { lengthSign: lengthSign() })}
          inputMode="decimal"
          width="w-32"
        />
        <Button type="submit" look="main" disabled={measured.isPending}>
          {say("calibrationCard.noteIt")}
        </Button>
      </div>
    </Form>
  );
}

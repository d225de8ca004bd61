import { length, lengthSign, typedLength } from "@/domain/reader";
import { useForm, useWatch } from "react-hook-form";
import { type OpenAdjustment, type PlannedRod } from "@/api/queries";
import { useGauge } from "@/api/field-work";
import { travelWords } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Form, LineField } from "@/ui/form";
import { WentChoice, type Went } from "./WentChoice";
import { Say, say } from "@/words/generated/adjustment";
import { told } from "@/words/generated/enums";

interface Props {
  open: OpenAdjustment;
  rod: PlannedRod;
}

type Choice = OpenAdjustment["gauges"][number]["gauge"]["choice"];

/** The gauge beside the arithmetic: expected, measured, and what becomes of a disagreement. */
export function GaugePanel({ open, rod }: Props) {
  const { standing, draft } = useModel();
  const gauge = useGauge(standing.id);
  const form = useForm<{ went: string; way?: Went }>({ defaultValues: { went: "" } });
  const { control } = form;
  const { went = "", way } = useWatch({ control });
  const known = open.gauges.find((one) => one.gauge.surface === rod.surface);
  const surface = draft.present.surfaces.find((one) => one.id === rod.surface) ?? false;
  const mm = way === "SAME" ? 0 : typedLength(went);
  const ready = way !== undefined && Number.isFinite(mm);
  const save = (choice: Choice) =>
    gauge.mutate({
      version: open.version,
      gauge: { surface: rod.surface, sizeMm: mm, way: way ?? "SAME", choice },
    });
  const decide = (choice: Choice) => {
    if (known !== undefined) {
      const { sizeMm, way: went } = known;
      gauge.mutate({
        version: open.version,
        gauge: { surface: rod.surface, sizeMm, way: went, choice },
      });
    }
  };
  return (
    <div className="mt-5 space-y-3 border-t border-line pt-4 text-lg" data-gauge={rod.surface}>
      <p className="figures">
        <Say
          id="gaugePanel.expectedAtZero"
          values={{ b: <strong>{travelWords(rod.zeroingMm, surface)}</strong> }}
        />
      </p>
      <Form
        form={form}
        className="flex flex-wrap items-end gap-3"
        by={gauge}
        send={() => {
          if (ready) {
            save("OPEN");
          }
        }}
      >
        <LineField
          control={control}
          name="went"
          label={say("gaugePanel.itWent", { lengthSign: lengthSign() })}
          inputMode="decimal"
          width="w-28"
        />
        <WentChoice label={say("gaugePanel.whichWay")} way={surface} control={control} />
        <Button type="submit" disabled={gauge.isPending || !ready}>
          {say("gaugePanel.compare")}
        </Button>
        {known !== undefined && (
          <p className="figures">
            <Say
              id="gaugePanel.comparison"
              values={{
                length: length(known.sizeMm, 1),
                way: known.way === "SAME" ? "" : told("Way", known.way),
                travel: travelWords(rod.zeroingMm, surface),
                lengthOther: length(known.check.toleranceMm, 1),
                b: (
                  <strong
                    className={
                      known.check.agree ? (known.check.tells ? "text-done" : "") : "text-grounded"
                    }
                  >
                    {known.check.agree
                      ? known.check.tells
                        ? say("gaugePanel.theyAgree")
                        : say("gaugePanel.tooSmall")
                      : say("gaugePanel.theyDisagree")}
                  </strong>
                ),
                choice: known.gauge.choice !== "OPEN",
                choiceOther: known.gauge.choice === "RULER",
              }}
            />
          </p>
        )}
      </Form>
      {gauge.isSuccess && gauge.data === undefined && (
        <p role="status" data-unjudged>
          {say("gaugePanel.comparedLater")}
        </p>
      )}
      {known !== undefined && !known.check.agree && known.gauge.choice === "OPEN" && (
        <div className="border-l-4 border-grounded bg-inset px-4 py-3 text-base" data-disagrees>
          <p className="font-semibold">{say("gaugePanel.possibleReasons")}</p>
          <ul className="list-disc pl-5">
            {known.check.explanations.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
          <p className="mt-2">{say("gaugePanel.disagreementChoices")}</p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => decide("ARITHMETIC")}>{say("gaugePanel.leaveOut")}</Button>
            <Button onClick={() => decide("RULER")}>{say("gaugePanel.goByMark")}</Button>
          </div>
        </div>
      )}
    </div>
  );
}

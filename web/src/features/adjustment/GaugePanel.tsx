import { useState } from "react";
import { useGauge, type OpenAdjustment, type PlannedRod } from "@/api/queries";
import { signed, travelWords } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";

interface Props {
  open: OpenAdjustment;
  rod: PlannedRod;
}

/** The gauge beside the arithmetic: expected, measured, and who is believed where they disagree. */
export function GaugePanel({ open, rod }: Props) {
  const { standing, draft } = useModel();
  const gauge = useGauge(standing.id);
  const [text, setText] = useState("");
  const known = open.gauges.find((one) => one.gauge.surface === rod.surface);
  const way = draft.present.surfaces.find((one) => one.id === rod.surface) ?? false;
  const save = (mm: number, choice: "OPEN" | "ARITHMETIC" | "RULER") =>
    gauge.mutate({ version: open.version, gauge: { surface: rod.surface, mm, choice } });
  const typed = Number(text.replace(",", "."));
  return (
    <div className="mt-5 space-y-3 border-t border-line pt-4 text-lg" data-gauge={rod.surface}>
      <p className="figures">
        Trim in against trim zeroed the edge should stand{" "}
        <strong>{travelWords(rod.trimMm, way)}</strong>; zeroed first? Then the mark belongs there.
      </p>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (text.trim() !== "" && Number.isFinite(typed)) {
            save(typed, "OPEN");
          }
        }}
      >
        <TextLine
          label="Gauge, mm, plus is up or right"
          inputMode="decimal"
          width="w-32"
          value={text}
          onValue={setText}
        />
        <Button type="submit" disabled={gauge.isPending}>
          Compare
        </Button>
        {known !== undefined && (
          <p className="figures">
            Measured {signed(known.gauge.mm, 1)} mm, reckoned {signed(known.check.computedMm, 1)}{" "}
            mm, within {known.check.toleranceMm.toFixed(1)} mm:{" "}
            <strong className={known.check.agree ? "text-done" : "text-grounded"}>
              {known.check.agree ? "they agree" : "they disagree"}
            </strong>
            {known.gauge.choice !== "OPEN" &&
              ` (${known.gauge.choice === "RULER" ? "the ruler" : "the arithmetic"} is believed)`}
          </p>
        )}
      </form>
      {gauge.isError && <Failure error={gauge.error} />}
      {known !== undefined && !known.check.agree && (
        <div className="border-l-4 border-grounded bg-inset px-4 py-3 text-base">
          <p className="font-semibold">What could explain it</p>
          <ul className="list-disc pl-5">
            {known.check.explanations.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => save(known.gauge.mm, "ARITHMETIC")}>
              Misread: keep the arithmetic
            </Button>
            <Button onClick={() => save(known.gauge.mm, "RULER")}>
              Believe the ruler and correct the lever arm
            </Button>
          </div>
        </div>
      )}
    </div>
  );
}

import { length, lengthSign, typedLength } from "@/domain/reader";
import { useState } from "react";
import { type OpenAdjustment, type PlannedRod } from "@/api/queries";
import { useGauge } from "@/api/field-work";
import { travelWords, wayWords } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Failure } from "@/ui/message";
import { TextLine } from "@/ui/text-line";
import { WentChoice, type Went } from "./WentChoice";

interface Props {
  open: OpenAdjustment;
  rod: PlannedRod;
}

type Choice = OpenAdjustment["gauges"][number]["gauge"]["choice"];

/** The gauge beside the arithmetic: expected, measured, and what becomes of a disagreement. */
export function GaugePanel({ open, rod }: Props) {
  const { standing, draft } = useModel();
  const gauge = useGauge(standing.id);
  const [text, setText] = useState("");
  const [way, setWay] = useState<Went>();
  const known = open.gauges.find((one) => one.gauge.surface === rod.surface);
  const surface = draft.present.surfaces.find((one) => one.id === rod.surface) ?? false;
  const [plus, minus] = wayWords(surface);
  const mm = way === "SAME" ? 0 : typedLength(text);
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
        When the trim is zeroed, the edge should go{" "}
        <strong>{travelWords(rod.zeroingMm, surface)}</strong> from its mark.
      </p>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (ready) {
            save("OPEN");
          }
        }}
      >
        <TextLine
          label={`It went, ${lengthSign()}`}
          inputMode="decimal"
          width="w-28"
          value={text}
          onValue={setText}
        />
        <WentChoice label="Which way" plus={plus} minus={minus} value={way} onValue={setWay} />
        <Button type="submit" disabled={gauge.isPending || !ready}>
          Compare
        </Button>
        {known !== undefined && (
          <p className="figures">
            It went {length(known.sizeMm, 1)} {known.way === "SAME" ? "" : known.way.toLowerCase()},
            expected {travelWords(rod.zeroingMm, surface)}, within{" "}
            {length(known.check.toleranceMm, 1)}:{" "}
            <strong
              className={
                known.check.agree ? (known.check.tells ? "text-done" : "") : "text-grounded"
              }
            >
              {known.check.agree
                ? known.check.tells
                  ? "they agree"
                  : "too small to be sure"
                : "they disagree"}
            </strong>
            {known.gauge.choice !== "OPEN" &&
              (known.gauge.choice === "RULER"
                ? " (turn the pushrod until the edge is at its mark)"
                : " (a misreading)")}
          </p>
        )}
      </form>
      {gauge.isSuccess && gauge.data === undefined && (
        <p role="status" data-unjudged>
          Noted. It will be compared once High Tally is online again.
        </p>
      )}
      {gauge.isError && <Failure error={gauge.error} />}
      {known !== undefined && !known.check.agree && known.gauge.choice === "OPEN" && (
        <div className="border-l-4 border-grounded bg-inset px-4 py-3 text-base" data-disagrees>
          <p className="font-semibold">Possible reasons</p>
          <ul className="list-disc pl-5">
            {known.check.explanations.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
          <p className="mt-2">
            Measure once more, or choose one. Neither changes the description: the reading is used
            together with all the others.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button onClick={() => decide("ARITHMETIC")}>A misreading: leave it out</Button>
            <Button onClick={() => decide("RULER")}>The reading is correct: go by the mark</Button>
          </div>
        </div>
      )}
    </div>
  );
}

import { Check } from "@/ui/check";
import { useQuery, keepPreviousData } from "@tanstack/react-query";
import { useState } from "react";
import { ApiError, answered, api, type Schemas } from "@/api/client";
import type { Setup } from "@/api/queries";
import { wayWords } from "@/domain/words";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure } from "@/ui/message";
import { useModel } from "@/features/model/model";

type Question = Schemas["ThrowQuestion"];
type Answer = Schemas["ThrowAnswer"];

interface Typed {
  plus: string;
  minus: string;
  armHoles: string;
  hornHoles: string;
  teeth: string;
  arms: string;
  inDegrees: boolean;
}

/** Wanted throws in, a short ranked list of holes and endpoints out, while typing. */
export function ThrowsCard({ index }: { index: number }) {
  const { draft, change } = useModel();
  const surface = draft.present.surfaces[index];
  const goals = draft.present.notebook.goals;
  const [typed, setTyped] = useState<Typed>(() => startFrom(draft.present, index));
  const question = questionOf(draft.present, index, typed);
  const found = useQuery({
    queryKey: ["throws", question],
    enabled: question !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: () => answered(api.POST("/api/throws/search", { body: question as Question })),
  });
  if (surface === undefined) {
    return null;
  }
  const [up, down] = wayWords(surface);
  const unit = typed.inDegrees ? "°" : "mm";
  const keep = ({ plusMm, minusMm }: Answer) => [
    ...goals.filter((one) => one.surface !== surface.id),
    { surface: surface.id, plusMm: rounded(plusMm), minusMm: rounded(minusMm) },
  ];
  const field = (key: Exclude<keyof Typed, "inDegrees">, label: string) => (
    <label className="block">
      <span className="mb-0.5 block text-sm text-soft">{label}</span>
      <input
        className="figures h-9 w-full rounded-card border border-line-strong bg-sheet px-2.5 font-medium"
        inputMode="decimal"
        value={typed[key]}
        onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
      />
    </label>
  );
  return (
    <Card
      title="Throws: what do you want?"
      aside={
        <Check
          className="text-sm"
          checked={typed.inDegrees}
          onChecked={(checked) => setTyped({ ...typed, inDegrees: checked })}
          label="in degrees"
        />
      }
    >
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        {field("plus", `Wanted ${up}, ${unit}`)}
        {field("minus", `Wanted ${down}, ${unit}`)}
        {field("armHoles", "Holes on the arm, mm")}
        {field("hornHoles", "Holes on the horn, mm")}
        {field("teeth", "Teeth of the servo")}
        {field("arms", "Arms of its horn")}
      </div>
      {question === undefined && typed.plus !== "" && typed.minus !== "" && (
        <p role="alert" className="mt-2 text-sm font-medium text-grounded">
          Numbers only, with a decimal point; several holes separated by commas.
        </p>
      )}
      {found.error instanceof ApiError && <Failure error={found.error} />}
      {question !== undefined && found.data?.length === 0 && (
        <p className="mt-2">
          No pair of these holes reaches that far. Try a larger arm hole or a smaller horn hole.
        </p>
      )}
      {found.data !== undefined && found.data.length > 0 && question !== undefined && (
        <Choices
          answers={found.data}
          stale={found.isPlaceholderData}
          onTake={(answer) =>
            change({
              type: "mend",
              edits: [...answer.mend.edits, { path: ["notebook", "goals"], value: keep(answer) }],
            })
          }
        />
      )}
    </Card>
  );
}

interface ChoicesProps {
  answers: Answer[];
  /** Answers to what was typed before; shown until the new ones are there, not to be taken. */
  stale: boolean;
  onTake: (answer: Answer) => void;
}

function Choices({ answers, stale, onTake }: ChoicesProps) {
  return (
    <table className="figures mt-3 w-full border-collapse text-sm" data-choices>
      <thead>
        <tr className="border-b border-line-strong text-right text-xs text-soft">
          {["Arm", "Horn", "Off square", "Endpoints", "Torque", "Slop 0.1", "Margin", ""].map(
            (name) => (
              <th key={name} className="py-1 font-medium first:text-left">
                {name}
              </th>
            ),
          )}
        </tr>
      </thead>
      <tbody>
        {answers
          .map((answer, i) => ({ ...answer, i }))
          .map(({ choice, i, ...answer }) => (
            <tr key={i} className="border-b border-line text-right">
              <td className="py-1 text-left font-semibold">{choice.linkage.armRadiusMm} mm</td>
              <td>
                {choice.linkage.hornRadiusMm} mm{choice.linkage.opposite ? ", other side" : ""}
              </td>
              <td>{Math.abs(choice.linkage.armLeanDegrees).toFixed(1)}°</td>
              <td>
                {choice.plusEndpointPercent.toFixed(0)} / {choice.minusEndpointPercent.toFixed(0)} %
              </td>
              <td>{choice.torqueNewtonCentimetres.toFixed(0)} N·cm</td>
              <td>{choice.slopMm.toFixed(2)} mm</td>
              <td>{choice.marginDegrees.toFixed(0)}°</td>
              <td>
                <Button
                  className="!min-h-7 px-2 text-xs"
                  onClick={() => onTake({ choice, ...answer })}
                  disabled={stale}
                >
                  Take it
                </Button>
              </td>
            </tr>
          ))}
      </tbody>
    </table>
  );
}

const rounded = (mm: number) => Math.round(mm * 100) / 100;

/** The wishes kept with the model, and the holes it is known to have. */
function startFrom(setup: Setup, index: number): Typed {
  const surface = setup.surfaces[index];
  const goal = setup.notebook.goals.find((one) => one.surface === surface?.id);
  const servo = setup.servos.find((one) => one.id === surface?.rod.driverId);
  const holes = (known: number[] | undefined, radius: number) =>
    known === undefined || known.length === 0 ? holesAround(radius) : known.join(", ");
  return {
    plus: goal === undefined ? "" : String(goal.plusMm),
    minus: goal === undefined ? "" : String(goal.minusMm),
    armHoles: holes(servo?.armHolesMm, surface?.rod.linkage.armRadiusMm ?? 10),
    hornHoles: holes(surface?.hornHolesMm, surface?.rod.linkage.hornRadiusMm ?? 12),
    teeth: String(servo?.seating.teeth ?? 25),
    arms: String(servo?.seating.arms ?? 4),
    inDegrees: false,
  };
}

const holesAround = (radius: number) =>
  [-4, -2, 0, 2, 4]
    .map((by) => Math.round((radius + by) * 10) / 10)
    .filter((hole) => hole >= 4)
    .join(", ");

const numbers = (text: string) => text.split(",").map((part) => Number(part.trim() || NaN));

/** What the core is asked; nothing while a field is empty or no number. */
function questionOf(setup: Setup, index: number, typed: Typed): Question | undefined {
  const surface = setup.surfaces[index];
  const single = [typed.plus, typed.minus, typed.teeth, typed.arms].map((text) =>
    Number(text.trim() || NaN),
  );
  const [plusMm = NaN, minusMm = NaN, teeth = NaN, arms = NaN] = single;
  const armHolesMm = numbers(typed.armHoles);
  const hornHolesMm = numbers(typed.hornHoles);
  if (surface === undefined || [...single, ...armHolesMm, ...hornHolesMm].some(Number.isNaN)) {
    return undefined;
  }
  const seating = { teeth, arms };
  const { inDegrees } = typed;
  return {
    setup,
    surface: surface.id,
    plusMm,
    minusMm,
    armHolesMm,
    hornHolesMm,
    seating,
    inDegrees,
  };
}

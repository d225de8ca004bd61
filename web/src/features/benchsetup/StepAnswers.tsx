import { shownIn, typedIn, unitSign, valueIn } from "@/domain/units";
import { useState } from "react";
import { type OpenSetUp } from "@/api/rig";
import { Button } from "@/ui/button";
import { say } from "@/words/generated/benchsetup";

type Step = OpenSetUp["steps"][number];

/** What is typed into the figures of a step, as text and as numbers. */
export function useFigures(
  step: Step | undefined,
  answer: OpenSetUp["answers"][number] | undefined,
  kept: Map<string, string[]> | undefined,
) {
  const [typed, setTyped] = useState<string[]>(
    kept?.get(step?.id ?? "") ??
      step?.figures.map(({ unit }, i) => {
        const value = answer?.values[i];
        return value == null ? "" : shownIn(unit, value);
      }) ??
      [],
  );
  const type = (text: string, at: number) => {
    const all = typed.map((one, other) => (other === at ? text : one));
    setTyped(all);
    kept?.set(step?.id ?? "", all);
  };
  const values = (step?.figures ?? []).map(({ unit }, i) => typedIn(unit, typed[i] ?? ""));
  const complete = values.length > 0 && values.every((value) => Number.isFinite(value));
  const wrong = typed.some((text, i) => text.trim() !== "" && !Number.isFinite(values[i]));
  const changed = complete && values.some((value, i) => value !== answer?.values[i]);
  return { typed, type, values, complete, wrong, changed };
}

interface AnswersProps {
  step: Step;
  chosen: string | undefined;
  typed: string[];
  onType: (text: string, at: number) => void;
  onChoose: (choice: string) => void;
  /** Whether all figures are there and differ from what was answered. */
  ready: boolean;
}

/** A button for every choice, a field for every figure. */
export function Answers({ step, chosen, typed, onType, onChoose, ready }: AnswersProps) {
  return (
    <>
      {step.choices.map((choice) => (
        <Button
          key={choice.id}
          large
          look={chosen === choice.id ? "main" : "plain"}
          aria-pressed={chosen === choice.id}
          onClick={() => onChoose(choice.id)}
        >
          {choice.words}
        </Button>
      ))}
      {step.figures.map((figure, i) => (
        <label key={figure.label} className="block">
          <span className="block text-soft">
            {figure.label}
            {figure.known &&
              say("guidedStep.expected", {
                valueIn: valueIn(figure.unit, figure.expected, 1),
              })}
          </span>
          <span className="flex items-baseline gap-2">
            <input
              inputMode="decimal"
              className="figures h-14 w-32 rounded-card border border-line-strong bg-sheet px-3 text-3xl font-semibold"
              value={typed[i] ?? ""}
              onChange={(event) => onType(event.target.value, i)}
            />
            <span className="text-xl text-soft">{unitSign(figure.unit)}</span>
          </span>
        </label>
      ))}
      {step.figures.length > 0 && (
        <Button type="submit" large className="self-end" disabled={!ready}>
          {say("guidedStep.compare")}
        </Button>
      )}
    </>
  );
}

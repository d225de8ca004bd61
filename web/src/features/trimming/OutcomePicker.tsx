import type { TestCard, TestResult } from "@/api/fly";
import { Button } from "@/ui/button";
import { PathDrawing } from "./PathDrawing";
import { TURNS, type Turn } from "./turns";
import { say } from "@/words/generated/trimming";

type Seen = TestResult["seen"][number];

const STRENGTHS = [
  [1, say("outcomePicker.slight")],
  [2, say("outcomePicker.clear")],
  [3, say("outcomePicker.strong")],
] as const;

interface Props {
  card: TestCard;
  /** Nothing picked yet: the test was not flown. */
  result: TestResult | undefined;
  onResult: (result: TestResult | undefined) => void;
}

/** What a test showed, picked by the thumb: a picture, a short phrase, how strongly. */
export function OutcomePicker({ card, result, onResult }: Props) {
  const blank: TestResult = { test: card.test.test, part: card.test.part, seen: [] };
  const seen = result?.seen ?? [];
  const set = (changed: Seen[]) => onResult({ ...blank, seen: changed });
  const pick = (turn: Turn, { outcome, excludes }: TestCard["outcomes"][number]) => {
    const there = seen.find((one) => one.turn === turn && one.outcome === outcome);
    const others = seen.filter((one) => one !== there);
    if (there !== undefined) {
      // Nothing picked is not flown: it says nothing of how the model flew.
      onResult(others.length === 0 ? undefined : { ...blank, seen: others });
      return;
    }
    const possible = others.filter((one) => one.turn !== turn || one.outcome !== excludes);
    set([...possible, { outcome, strength: 1, turn }]);
  };
  const strengthen = (of: Seen, strength: number) =>
    set(seen.map((one) => (one === of ? { ...of, strength } : one)));
  return (
    <div className="space-y-3" data-outcomes={card.test.test}>
      <div className="grid grid-cols-2 gap-2">
        <Button
          look={result !== undefined && result.seen.length === 0 ? "main" : "plain"}
          aria-pressed={result !== undefined && result.seen.length === 0}
          className="min-h-14"
          onClick={() => onResult(blank)}
        >
          {say("outcomePicker.asItShouldBe")}
        </Button>
        <Button
          look={result === undefined ? "main" : "plain"}
          aria-pressed={result === undefined}
          className="min-h-14"
          onClick={() => onResult(undefined)}
        >
          {say("outcomePicker.notFlown")}
        </Button>
      </div>
      {card.turns.map((turn) => (
        <fieldset key={turn}>
          <legend className="mb-1 text-sm font-medium text-soft">
            {card.turns.length > 1 ? TURNS[turn] : TURNS.BOTH}
          </legend>
          <ul className="grid grid-cols-2 gap-2">
            {card.outcomes.map((one) => {
              const { outcome, words } = one;
              const picked = seen.find((each) => each.turn === turn && each.outcome === outcome);
              return (
                <li key={outcome} className="min-w-0">
                  <button
                    type="button"
                    aria-pressed={picked !== undefined}
                    data-outcome={outcome}
                    onClick={() => pick(turn, one)}
                    className={`w-full rounded-card border-2 bg-sheet p-1.5 text-left ${picked === undefined ? "border-line-strong" : "border-brand"}`}
                  >
                    <PathDrawing test={card.test.test} outcome={outcome} label={words} />
                    <span className="block min-h-10 text-base leading-tight font-medium">
                      {words}
                    </span>
                  </button>
                  {picked !== undefined && (
                    <div
                      role="group"
                      aria-label={say("outcomePicker.howStrongly", { words })}
                      className="mt-1 grid grid-cols-3 gap-1"
                    >
                      {STRENGTHS.map(([strength, word]) => (
                        <Button
                          key={strength}
                          look={picked.strength === strength ? "main" : "plain"}
                          aria-pressed={picked.strength === strength}
                          className="min-h-12 px-1"
                          onClick={() => strengthen(picked, strength)}
                        >
                          {word}
                        </Button>
                      ))}
                    </div>
                  )}
                </li>
              );
            })}
          </ul>
        </fieldset>
      ))}
    </div>
  );
}

import { useState } from "react";
import type { Schemas } from "@/api/client";
import type { CheckOutline } from "@/api/checks";
import type { CoachSheet, TestCard, TestResult } from "@/api/fly";
import { dateOf } from "@/domain/words";
import { shaped } from "@/domain/storage";
import { OutcomePicker } from "@/features/trimming/OutcomePicker";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { say } from "@/words/generated/flightlog";

export type Seen = Schemas["FlightObservations"];

export const NOTHING_SEEN: Seen = { results: [], check: 0, despite: "" };

/** Whether what was kept is what this form notes besides the trims. */
export const isSeen = (value: unknown): value is Seen =>
  shaped(value, { results: "array", check: "number", despite: "string" });

/** The newest check of today that was done and found nothing; 0 for none. */
export const checkedToday = (runs: CheckOutline[], day: string) =>
  runs.find(
    (one) =>
      one.kind === "FLIGHT" &&
      one.state === "DONE" &&
      !one.faulty &&
      dateOf(new Date(one.createdAt)) === day,
  )?.id ?? 0;

interface Props {
  coach: CoachSheet;
  seen: Seen;
  onSeen: (seen: Seen) => void;
  /** Whether a check was ended that the program has not judged yet. */
  unjudged: boolean;
}

const keyOf = (one: { test: string; part: string }) => `${one.test} ${one.part}`;

/** What the flight showed: the test it was for first, any other besides. */
export function SeenCards({ coach, seen, onSeen, unjudged }: Props) {
  const [more, setMore] = useState("");
  const next = coach.plan.tests[coach.plan.next];
  const flyable = coach.cards.filter((one) => one.outcomes.length > 0);
  const shown = flyable.filter(
    (one) =>
      (next !== undefined && keyOf(one.test) === keyOf(next.test)) ||
      keyOf(one.test) === more ||
      seen.results.some((each) => keyOf(each) === keyOf(one.test)),
  );
  const others = flyable.filter((one) => !shown.includes(one));
  const set = (card: TestCard, result: TestResult | undefined) =>
    onSeen({
      ...seen,
      results: [
        ...seen.results.filter((one) => keyOf(one) !== keyOf(card.test)),
        ...(result === undefined ? [] : [result]),
      ],
    });
  return (
    <>
      {shown.map((card) => (
        <Card key={keyOf(card.test)} title={card.name}>
          <p className="mb-2 text-sm text-soft">{card.watch}</p>
          <OutcomePicker
            card={card}
            result={seen.results.find((one) => keyOf(one) === keyOf(card.test))}
            onResult={(result) => set(card, result)}
          />
        </Card>
      ))}
      {others.length > 0 && (
        <Choice
          label={say("seenCards.addTest")}
          value=""
          onValue={setMore}
          options={[
            ["", say("seenCards.none")],
            ...others.map((one) => [keyOf(one.test), one.name] as const),
          ]}
        />
      )}
      {unjudged && <p className="text-sm text-soft">{say("seenCards.checkedOffline")}</p>}
      {!unjudged && seen.check > 0 && (
        <p className="text-sm text-soft">{say("seenCards.checkedToday", { check: seen.check })}</p>
      )}
    </>
  );
}

import { useState } from "react";
import { useForm, useWatch } from "react-hook-form";
import { Link } from "react-router";
import {
  useCoach,
  useSkipTest,
  useTakeUpTest,
  type CoachSheet,
  type CoachStanding,
  type TestCard,
} from "@/api/fly";
import { useModel } from "@/features/model/model";
import { Button, buttonClass } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { Form, LineField } from "@/ui/form";
import { Failure, Waiting } from "@/ui/message";
import { AdviceCard, OpenJob } from "./AdviceCard";
import { PathDrawing } from "./PathDrawing";
import { TEST_STATES } from "@/domain/test-states";
import { say } from "@/words/generated/trimming";

const LOOKS = {
  OPEN: "text-soft",
  STANDS: "text-done",
  CHANGE: "text-grounded",
  VOID: "text-grounded",
  SKIPPED: "text-soft",
} as const;

const keyOf = (one: CoachStanding) => `${one.test.test} ${one.test.part}`;

/** The trim flights of a model: what stands, what comes next, how it is flown, the one change. */
export function CoachPage() {
  const { standing } = useModel();
  const coach = useCoach(standing.id);
  if (coach.data === undefined) {
    return coach.isError ? (
      <Failure error={coach.error} />
    ) : (
      <Waiting what={say("coachPage.theCoach")} />
    );
  }
  return <Plan sheet={coach.data} />;
}

function Plan({ sheet }: { sheet: CoachSheet }) {
  const { plan, cards } = sheet;
  const [chosen, setChosen] = useState<string>();
  const next = plan.tests[plan.next];
  const shown = plan.tests.findIndex((one) => keyOf(one) === chosen);
  const index = shown >= 0 ? shown : plan.next >= 0 ? plan.next : 0;
  const one = plan.tests[index];
  const card = cards[index];
  return (
    <div className="space-y-3 pt-3">
      <Card className="border-l-4 border-l-brand" label={say("coachPage.goal")}>
        <p className="text-sm text-soft">{say("coachPage.nextFlight")}</p>
        <p className="text-xl font-semibold" data-goal>
          {sheet.goal}
        </p>
        <div className="mt-3 flex flex-wrap gap-2">
          <Link to="../new" relative="path" className={buttonClass("main", true)}>
            {say("coachPage.enter")}
          </Link>
          <Link to="../card" relative="path" className={buttonClass("plain", true)}>
            {say("coachPage.fieldCard")}
          </Link>
          <Link to="../checks" relative="path" className={buttonClass("plain", true)}>
            {say("coachPage.check")}
          </Link>
        </div>
      </Card>
      <OpenJob sheet={sheet} />
      <div className="grid items-start gap-3 lg:grid-cols-[20rem_1fr]">
        <TestList
          sheet={sheet}
          next={next}
          shown={one === undefined ? "" : keyOf(one)}
          choose={setChosen}
        />
        {one !== undefined && card !== undefined && (
          <div className="order-first min-w-0 space-y-3 lg:order-none">
            <AdviceCard of={one} sheet={sheet} />
            <HowFlown key={keyOf(one)} one={one} card={card} />
          </div>
        )}
      </div>
    </div>
  );
}

interface ListProps {
  sheet: CoachSheet;
  next: CoachStanding | undefined;
  shown: string;
  choose: (key: string) => void;
}

function TestList({ sheet, next, shown, choose }: ListProps) {
  return (
    <Card title={say("coachPage.order")}>
      <ol className="space-y-1">
        {sheet.plan.tests.map((one, i) => {
          const word = TEST_STATES[one.state];
          const look = LOOKS[one.state];
          return (
            <li key={keyOf(one)} data-test={keyOf(one)} data-state={one.state}>
              <button
                type="button"
                aria-current={shown === keyOf(one)}
                onClick={() => choose(keyOf(one))}
                className={`w-full rounded-card border px-2.5 py-1.5 text-left ${shown === keyOf(one) ? "border-brand bg-inset" : "border-transparent hover:bg-inset"}`}
              >
                <span className="flex justify-between gap-2">
                  <span className={one === next ? "font-semibold" : ""}>
                    {sheet.cards[i]?.name}
                  </span>
                  <span className={`shrink-0 text-sm font-medium ${look}`}>
                    {one === next ? say("coachPage.nextIs", { word }) : word}
                  </span>
                </span>
                <span className="block text-sm text-soft">{one.words}</span>
              </button>
            </li>
          );
        })}
      </ol>
    </Card>
  );
}

function HowFlown({ one, card }: { one: CoachStanding; card: TestCard }) {
  return (
    <Card title={card.name} aside={<span className="text-sm text-soft">{card.tells}</span>}>
      {one.openBefore && (
        <p className="mb-3 border-l-4 border-line-strong bg-inset px-3 py-2 text-sm">
          {say("coachPage.earlierOpen")}
        </p>
      )}
      <div className="grid gap-4 sm:grid-cols-[1fr_16rem]">
        <div>
          <ol className="list-decimal space-y-1 pl-5">
            {card.flown.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          <p className="mt-3">
            <strong>{say("coachPage.watch")}</strong> {card.watch}
          </p>
        </div>
        <PathDrawing
          test={card.test.test}
          label={say("coachPage.asItShouldBe", { card: card.name })}
          className="rounded-card border border-line bg-inset"
        />
      </div>
      {card.outcomes.length > 0 && (
        <ul className="mt-4 grid grid-cols-2 gap-2 sm:grid-cols-4">
          {card.outcomes.map(({ outcome, words }) => (
            <li key={outcome} className="rounded-card border border-line p-1.5">
              <PathDrawing test={card.test.test} outcome={outcome} label={words} />
              <span className="block text-sm leading-tight">{words}</span>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-4">
        <Caution>{card.caution}</Caution>
      </div>
      {card.test.test !== "LEVEL_TRIM" && <LeaveOut one={one} />}
    </Card>
  );
}

/** A test is only left out with a reason, and taken up again when the pilot wants. */
function LeaveOut({ one }: { one: CoachStanding }) {
  const { standing } = useModel();
  const skip = useSkipTest(standing.id);
  const takeUp = useTakeUpTest(standing.id);
  const form = useForm({ defaultValues: { because: "" } });
  const { control } = form;
  const because = useWatch({ control, name: "because" });
  if (one.state === "SKIPPED") {
    return (
      <div className="mt-3">
        <Button disabled={takeUp.isPending} onClick={() => takeUp.mutate(one.test)}>
          {say("coachPage.include")}
        </Button>
        {takeUp.isError && <Failure error={takeUp.error} />}
      </div>
    );
  }
  return (
    <Form
      form={form}
      className="mt-4 flex flex-wrap items-end gap-2 border-t border-line pt-3"
      by={skip}
      send={(filled) => skip.mutate({ test: one.test, because: filled.because })}
    >
      <div className="min-w-48 flex-1">
        <LineField
          control={control}
          name="because"
          label={say("coachPage.reason")}
          maxLength={300}
        />
      </div>
      <Button type="submit" look="quiet" disabled={skip.isPending || because.trim().length < 3}>
        {say("coachPage.leaveOut")}
      </Button>
    </Form>
  );
}

import { useState } from "react";
import { Link, useParams } from "react-router";
import type { TestResult } from "@/api/fly";
import {
  useEndPractice,
  useFlyTest,
  useLeaveOut,
  usePractice,
  useSaySeen,
  type FlownSheet,
  type SchoolSheet,
  type SchoolTest,
} from "@/api/school";
import { OutcomePicker } from "@/features/trimming/OutcomePicker";
import { Button } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { Check } from "@/ui/check";
import { Failure, Waiting } from "@/ui/message";
import { mirrored } from "@/features/simulator/air";
import { ReportCard } from "./ReportCard";
import { OneChange } from "./OneChange";
import { LESSONS } from "./lessons";
import { Watch } from "@/features/simulator/Watch";
import { TEST_STATES } from "@/domain/test-states";
import { say } from "@/words/generated/school";

const keyOf = (one: SchoolTest) => `${one.test.test} ${one.test.part}`;

/** One practice: choose a test, watch it, say what you saw, change one thing, fly again. */
export function PracticePage() {
  const id = Number(useParams().practiceId);
  const practice = usePractice(id);
  if (practice.data === undefined) {
    return practice.isError ? (
      <div className="p-4">
        <Failure error={practice.error} />
      </div>
    ) : (
      <Waiting what={say("practicePage.thePractice")} />
    );
  }
  return <Field key={id} sheet={practice.data} />;
}

function Field({ sheet }: { sheet: SchoolSheet }) {
  const end = useEndPractice(sheet.id);
  const [ready, setReady] = useState(sheet.flights > 0);
  const [picked, setPicked] = useState<string>();
  const ended = sheet.endedAt !== null;
  const flyable = sheet.tests.filter((one) => one.flyable);
  const test =
    flyable.find((one) => keyOf(one) === picked) ?? sheet.tests[sheet.next] ?? flyable[0];
  const name = sheet.lesson === null ? sheet.name : LESSONS[sheet.lesson][0];
  return (
    <div className="mx-auto max-w-6xl space-y-4 p-4">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-2xl">
          {name}
          {sheet.step > 0 && say("practicePage.step", { step: sheet.step })}
        </h1>
        <p className="figures text-soft">
          {say("practicePage.flightOf", { flights: sheet.flights, budget: sheet.budget })}
        </p>
        <Link to="/school" className="underline">
          {say("practicePage.back")}
        </Link>
      </div>
      <p className="max-w-3xl text-lg">{sheet.told}</p>
      {sheet.known.length > 0 && (
        <ul className="max-w-3xl list-disc pl-5 text-sm text-soft">
          {sheet.known.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
      )}
      {ended && sheet.report !== null ? (
        <ReportCard sheet={sheet} report={sheet.report} />
      ) : (
        <div className="grid gap-4 lg:grid-cols-[17rem_1fr]">
          <div className="space-y-3">
            <Card title={say("practicePage.handsOffFirst")}>
              <p className="mb-2 text-sm">{say("practicePage.levelTrim")}</p>
              <Link to={`/school/${sheet.id}/hands-off`} className="font-medium underline">
                {say("practicePage.trim")}
              </Link>
            </Card>
            <Card title={say("practicePage.toFly")}>
              <ul className="space-y-1">
                {flyable.map((one) => (
                  <li key={keyOf(one)}>
                    <Button
                      look={one === test ? "main" : "quiet"}
                      aria-pressed={one === test}
                      className="w-full !justify-between gap-2 text-left"
                      onClick={() => setPicked(keyOf(one))}
                    >
                      <span>{one.card.name}</span>
                      <span className="text-sm font-normal whitespace-nowrap">
                        {TEST_STATES[one.state]}
                      </span>
                    </Button>
                  </li>
                ))}
              </ul>
            </Card>
            <Button
              disabled={end.isPending}
              onClick={() => end.mutate(undefined)}
              className="w-full"
            >
              {say("practicePage.finishAsked")}
            </Button>
            {end.isError && <Failure error={end.error} />}
          </div>
          {ready ? (
            test !== undefined && <Flying key={keyOf(test)} sheet={sheet} test={test} />
          ) : (
            <Preflight onReady={() => setReady(true)} />
          )}
        </div>
      )}
    </div>
  );
}

const STEPS = [
  say("practicePage.directionsChecked"),
  say("practicePage.balanceChecked"),
  say("practicePage.looseChecked"),
  say("practicePage.skyChecked"),
] as const;

function Preflight({ onReady }: { onReady: () => void }) {
  const [done, setDone] = useState<readonly string[]>([]);
  return (
    <Card title={say("practicePage.beforeTheFlight")}>
      <p className="mb-3 text-sm text-soft">{say("practicePage.checkHint")}</p>
      <div className="space-y-2">
        {STEPS.map((one) => (
          <Check
            key={one}
            label={one}
            checked={done.includes(one)}
            onChecked={(checked) =>
              setDone(checked ? [...done, one] : done.filter((other) => other !== one))
            }
          />
        ))}
      </div>
      <Button look="main" className="mt-4" disabled={done.length < STEPS.length} onClick={onReady}>
        {say("practicePage.takeOff")}
      </Button>
    </Card>
  );
}

function Flying({ sheet, test }: { sheet: SchoolSheet; test: SchoolTest }) {
  const fly = useFlyTest(sheet.id);
  const saying = useSaySeen(sheet.id);
  const leave = useLeaveOut(sheet.id);
  const [flown, setFlown] = useState<FlownSheet>();
  const [result, setResult] = useState<TestResult>();
  const [said, setSaid] = useState(false);
  const out = () =>
    fly.mutate(test.test, {
      onSuccess: (sheet) => {
        setFlown(sheet);
        setResult(undefined);
        setSaid(false);
      },
    });
  const wrong = said && result !== undefined && result.seen.length > 0;
  return (
    <div className="min-w-0 space-y-3">
      <Card title={test.card.name} aside={<span className="text-sm text-soft">{test.words}</span>}>
        {flown === undefined && (
          <>
            <p className="mb-2">{test.card.tells}</p>
            <ol className="mb-2 list-decimal pl-5 text-sm">
              {test.card.flown.map((one) => (
                <li key={one}>{one}</li>
              ))}
            </ol>
            <Caution>{test.card.caution}</Caution>
          </>
        )}
        <div className="mt-3 flex flex-wrap gap-2">
          <Button look="main" disabled={fly.isPending} onClick={out}>
            {flown === undefined ? say("practicePage.flyIt") : say("practicePage.again")}
          </Button>
          {test.state !== "SKIPPED" && (
            <Button disabled={leave.isPending} onClick={() => leave.mutate(test.test)}>
              {say("practicePage.leaveItOut")}
            </Button>
          )}
        </div>
        {fly.isError && <Failure error={fly.error} />}
        {leave.isError && <Failure error={leave.error} />}
      </Card>
      {flown !== undefined && (
        <>
          <Card title={say("practicePage.watchFlight", { flight: flown.flight })}>
            {flown.parts.length > 1 && flown.parts[0] !== undefined ? (
              <Watch
                key={flown.flight + flown.words.join()}
                path={flown.parts[0]}
                beside={flown.parts[1] === undefined ? undefined : mirrored(flown.parts[1])}
                frame={flown.frame}
                words={flown.words.join(` ${say("practicePage.otherWay")} `)}
              />
            ) : (
              flown.parts[0] !== undefined && (
                <Watch
                  key={flown.flight + flown.words.join()}
                  path={flown.parts[0]}
                  frame={flown.frame}
                  words={flown.words[0] ?? ""}
                  mirror
                />
              )
            )}
            {flown.broken && (
              <p className="mt-2 font-medium text-grounded">{say("practicePage.leftRange")}</p>
            )}
          </Card>
          <Card title={say("practicePage.seenAsked")}>
            <p className="mb-2 text-sm text-soft">{test.card.watch}</p>
            <fieldset className="max-w-xl" disabled={saying.isPending || said}>
              <OutcomePicker card={test.card} result={result} onResult={setResult} />
            </fieldset>
            <Button
              look="main"
              className="mt-3"
              disabled={result === undefined || saying.isPending || said}
              onClick={() =>
                result !== undefined && saying.mutate(result, { onSuccess: () => setSaid(true) })
              }
            >
              {said ? say("practicePage.noted") : say("practicePage.noteIt")}
            </Button>
            {saying.isError && <Failure error={saying.error} />}
          </Card>
        </>
      )}
      {wrong && <OneChange sheet={sheet} test={test} onDone={() => setFlown(undefined)} />}
    </div>
  );
}

import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { useHangar } from "@/api/queries";
import { useBeginLesson, useBeginPractice, useHall, type Hall } from "@/api/school";
import { day } from "@/domain/words";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Check } from "@/ui/check";
import { Choice } from "@/ui/choice";
import { Failure, Waiting } from "@/ui/message";
import { LESSONS } from "./lessons";
import { say } from "@/words/generated/school";

const newSeed = () => crypto.getRandomValues(new Uint16Array(1))[0] ?? 1;

/** The trim school: four lessons, or any model of the hangar, with faults hidden in it. */
export function SchoolPage() {
  const hall = useHall();
  if (hall.data === undefined) {
    return hall.isError ? (
      <Failure error={hall.error} />
    ) : (
      <Waiting what={say("schoolPage.theSchool")} />
    );
  }
  return (
    <div className="mx-auto max-w-6xl space-y-4 p-4">
      <h1 className="text-2xl">{say("schoolPage.trimSchool")}</h1>
      <p className="max-w-3xl text-soft">{say("schoolPage.explained")}</p>
      <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        {hall.data.lessons.map((one) => (
          <LessonCard key={one.lesson} of={one} />
        ))}
      </div>
      <div className="grid gap-4 lg:grid-cols-2">
        <OwnModel />
        <Runs runs={hall.data.runs} />
      </div>
    </div>
  );
}

function LessonCard({ of }: { of: Hall["lessons"][number] }) {
  const begin = useBeginLesson();
  const navigate = useNavigate();
  const [name, learns] = LESSONS[of.lesson];
  const [seed] = useState(newSeed);
  return (
    <Card title={name} aside={<span className="figures text-sm text-soft">{stepWords(of)}</span>}>
      <p className="mb-3 min-h-12 text-sm">{learns}</p>
      <div className="mb-3 flex gap-1" aria-hidden>
        {Array.from({ length: of.steps }, (_, i) => (
          <span
            key={i}
            className={`h-1.5 flex-1 rounded-full ${i + 1 < of.next || of.done ? "bg-done" : "bg-line-strong"}`}
          />
        ))}
      </div>
      <Button
        look="main"
        disabled={begin.isPending}
        onClick={() =>
          begin.mutate(
            { lesson: of.lesson, seed },
            { onSuccess: (sheet) => void navigate(`/school/${sheet.id}`) },
          )
        }
      >
        {of.next === 1
          ? say("schoolPage.begin", { name })
          : say("schoolPage.step", { next: of.next, name })}
      </Button>
      {begin.isError && <Failure error={begin.error} />}
    </Card>
  );
}

const stepWords = (of: Hall["lessons"][number]) =>
  of.done
    ? say("schoolPage.lessonDone")
    : say("schoolPage.stepOf", { next: of.next, steps: of.steps });

function OwnModel() {
  const hangar = useHangar();
  const begin = useBeginPractice();
  const navigate = useNavigate();
  const [picked, setPicked] = useState("");
  const [faults, setFaults] = useState("2");
  const [windy, setWindy] = useState(false);
  const [seed] = useState(newSeed);
  const models = (hangar.items ?? []).map((one) => [String(one.id), one.name] as const);
  const model = picked === "" ? (models[0]?.[0] ?? "") : picked;
  return (
    <Card title={say("schoolPage.ownModel")}>
      {hangar.items === undefined ? (
        <Waiting what={say("schoolPage.theHangar")} />
      ) : models.length === 0 ? (
        <p className="text-soft">{say("schoolPage.noModel")}</p>
      ) : (
        <div className="space-y-3">
          <div className="grid gap-3 sm:grid-cols-2">
            <Choice
              label={say("schoolPage.model")}
              value={model}
              options={models}
              onValue={setPicked}
            />
            <Choice
              label={say("schoolPage.hiddenFaults")}
              value={faults}
              options={["0", "1", "2", "3", "4"].map((one) => [one, one] as const)}
              onValue={setFaults}
            />
          </div>
          <Check label={say("schoolPage.gustyAfternoon")} checked={windy} onChecked={setWindy} />
          <Button
            look="main"
            disabled={begin.isPending}
            onClick={() =>
              begin.mutate(
                { aircraftId: Number(model), faults: Number(faults), windy, seed },
                { onSuccess: (sheet) => void navigate(`/school/${sheet.id}`) },
              )
            }
          >
            {say("schoolPage.start")}
          </Button>
          {begin.isError && <Failure error={begin.error} />}
        </div>
      )}
    </Card>
  );
}

function Runs({ runs }: { runs: Hall["runs"] }) {
  return (
    <Card title={say("schoolPage.soFar")}>
      {runs.length === 0 && <p className="text-soft">{say("schoolPage.nothingYet")}</p>}
      <ul className="divide-y divide-line">
        {runs.map((one) => (
          <li key={one.id} className="flex flex-wrap items-baseline justify-between gap-x-3 py-2">
            <Link to={`/school/${one.id}`} className="font-medium underline">
              {one.lesson === null
                ? one.name
                : say("schoolPage.lessonStep", { lesson: LESSONS[one.lesson][0], step: one.step })}
            </Link>
            <span className="figures text-sm text-soft">
              {say("schoolPage.practice", {
                day: day(one.createdAt),
                flights: one.flights,
                became:
                  one.endedAt === null
                    ? say("schoolPage.open")
                    : one.passed
                      ? say("schoolPage.found")
                      : say("schoolPage.notFound"),
              })}
            </span>
          </li>
        ))}
      </ul>
    </Card>
  );
}

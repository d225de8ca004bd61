import { useEffect, useRef, useState } from "react";
import { useBeginSetUp, useMeasurements, useOpenSetUp } from "@/api/rig";
import { useHasMotor, useModel } from "@/features/model/model";
import { day } from "@/domain/words";
import { Button } from "@/ui/button";
import { Card, Caution } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure, Waiting } from "@/ui/message";
import { GuidedStep, STEP_TITLE, type Pressed } from "./GuidedStep";
import { say } from "@/words/generated/benchsetup";

type School = "ROD_FIRST" | "SUB_TRIM_FIRST";

/** Setting the model up on the bench, one step at a time; it can be left and taken up again. */
export function SetUpPage() {
  const { standing } = useModel();
  const open = useOpenSetUp(standing.id);
  const step = open.data?.step;
  const before = useRef(step);
  const [typed] = useState(() => new Map<string, string[]>());
  const [movedOn, setMovedOn] = useState<string>();
  const [pressed, setPressed] = useState<Pressed>();
  useEffect(() => {
    if (before.current !== step && open.data !== undefined) {
      document.getElementById(STEP_TITLE)?.focus({ preventScroll: true });
    }
    before.current = step;
  }, [step, open.data]);
  if (open.data === undefined) {
    return open.isError ? (
      <Failure error={open.error} />
    ) : (
      <Waiting what={say("setUpPage.theBenchSetUp")} />
    );
  }
  if (open.data === null) {
    return <Begin />;
  }
  const kept = open.data.steps.find((one) => one.id === movedOn);
  return (
    <>
      {kept !== undefined && <MovedOn title={kept.title} onSeen={() => setMovedOn(undefined)} />}
      <GuidedStep
        key={open.data.step}
        open={open.data}
        kept={typed}
        pressed={pressed}
        onPressed={setPressed}
        onConflict={(id) => {
          setMovedOn(id);
          void open.refetch();
        }}
      />
    </>
  );
}

/** What happened when another page answered meanwhile. */
function MovedOn({ title, onSeen }: { title: string; onSeen: () => void }) {
  return (
    <div role="status" className="mb-3 border-l-4 border-tag bg-inset px-4 py-3">
      <p>{say("setUpPage.continuedElsewhere", { title })}</p>
      <Button className="mt-2" onClick={onSeen}>
        {say("setUpPage.understood")}
      </Button>
    </div>
  );
}

function Begin() {
  const { standing } = useModel();
  const begin = useBeginSetUp(standing.id);
  const motor = useHasMotor();
  const [school, setSchool] = useState<School>("ROD_FIRST");
  return (
    <div className="grid gap-4 lg:grid-cols-2">
      <Card title={say("setUpPage.title")}>
        <p className="mb-3">{say("setUpPage.described")}</p>
        {motor && <Caution>{say("setUpPage.safety")}</Caution>}
        <div className="my-3 max-w-sm">
          <Choice
            label={say("setUpPage.centringAsked")}
            value={school}
            onValue={setSchool}
            options={[
              ["ROD_FIRST", say("setUpPage.pushrodOnly")],
              ["SUB_TRIM_FIRST", say("setUpPage.subTrimFirst")],
            ]}
          />
          <p className="mt-1 text-xs text-soft">
            {school === "ROD_FIRST"
              ? say("setUpPage.subTrimKeptWhy")
              : say("setUpPage.armSquareWhy")}
          </p>
        </div>
        <Button look="main" large onClick={() => begin.mutate(school)} disabled={begin.isPending}>
          {say("setUpPage.begin")}
        </Button>
        {begin.isError && <Failure error={begin.error} />}
      </Card>
      <MeasurementLog />
    </div>
  );
}

function MeasurementLog() {
  const { standing } = useModel();
  const measurements = useMeasurements(standing.id);
  const list = measurements.data ?? [];
  return (
    <Card title={say("setUpPage.measured")}>
      {list.length === 0 ? (
        <p className="text-soft">{say("setUpPage.nothingYet")}</p>
      ) : (
        <table className="figures w-full text-sm">
          <tbody>
            {list.slice(0, 40).map((one, i) => (
              <tr key={i} className="border-t border-line first:border-0">
                <td className="py-1 pr-2">{one.title}</td>
                <td className="pr-2 font-semibold whitespace-nowrap">
                  {one.choice === "" ? one.values.join(" / ") : one.choice.replace("-", " ")}
                </td>
                <td className="whitespace-nowrap text-soft">
                  {say("setUpPage.revision", {
                    day: day(one.answeredAt),
                    revisionNumber: one.revisionNumber,
                  })}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Card>
  );
}

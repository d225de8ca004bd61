import { useState } from "react";
import { useComplaints, useFeelAdvice } from "@/api/program";
import type { Control } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure, Outdated } from "@/ui/message";
import { say } from "@/words/generated/program";

interface Props {
  control: Control;
  sets: (readonly [string, string])[];
}

/** What a pilot says of a control, and the step it asks for. */
export function FeelWords({ control, sets }: Props) {
  const { draft, change } = useModel();
  const complaints = useComplaints();
  const advise = useFeelAdvice();
  const [set, setSet] = useState("");
  const known = sets.some(([id]) => id === set) ? set : "";
  const step = advise.data;
  const holds = advise.variables?.setup === draft.present;
  return (
    <Card title={say("feelPage.wordsTitle")}>
      <div className="mb-2 flex flex-wrap items-end gap-2">
        {sets.length > 0 && (
          <Choice
            label={say("feelPage.flownWith")}
            value={known}
            onValue={setSet}
            options={[["", say("feelPage.standardRatesWithin")], ...sets]}
          />
        )}
        {complaints.data?.map((one) => (
          <Button
            key={one.complaint}
            className="!min-h-8 text-sm"
            onClick={() =>
              advise.mutate({
                setup: draft.present,
                set: known,
                control,
                complaint: one.complaint,
              })
            }
          >
            {one.words}
          </Button>
        ))}
      </div>
      {advise.isError && <Failure error={advise.error} />}
      {step !== undefined && !holds && <Outdated />}
      {step !== undefined && holds && (
        <div className="flex flex-wrap items-center gap-3 border-l-4 border-brand bg-inset px-3 py-2">
          <p className="flex-1" data-advice>
            {step.words}
          </p>
          {JSON.stringify(step.before) !== JSON.stringify(step.after) && (
            <Button
              look="main"
              onClick={() => {
                change({ type: "replace", from: draft.present, setup: step.setup });
                advise.reset();
              }}
            >
              {say("feelPage.makeStep")}
            </Button>
          )}
        </div>
      )}
    </Card>
  );
}

import { useState } from "react";
import {
  useBeginPlanned,
  usePlan,
  type PlanOptions,
  type RodPlan,
  type Story,
} from "@/api/history";
import { within, controlName, keyOf, type Control } from "@/domain/words";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Check } from "@/ui/check";
import { Choice } from "@/ui/choice";
import { Failure, Waiting } from "@/ui/message";
import { AfterCards } from "./AfterCards";
import { PhasesAfter } from "./PhasesAfter";
import { RodRow } from "./RodRow";
import { say } from "@/words/generated/adjustment";

const PROPOSED: PlanOptions = { reference: "", presetsTakeUp: false, leave: [], means: [] };

/** What the settled trims mean for every rod, before anything is touched. */
export function PlanView({ story }: { story: Story }) {
  const { standing, draft } = useModel();
  const [wish, setWish] = useState(PROPOSED);
  const found = usePlan(standing.id, wish);
  const begin = useBeginPlanned(standing.id);
  if (found.data === undefined) {
    return found.isError ? (
      <Failure error={found.error} />
    ) : (
      <Waiting what={say("planView.thePlan")} />
    );
  }
  const { plan, reference } = found.data;
  const phases = draft.present.phases;
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-center justify-between gap-x-4 gap-y-2">
        <h2 className="text-xl">{plan == null ? story.waiting : say("planView.moveTrims")}</h2>
        {plan != null && (
          <Button
            look="main"
            large
            onClick={() => begin.mutate({ flightId: found.data.flight, wish })}
            disabled={begin.isPending || begin.isSuccess || found.isPlaceholderData}
          >
            {say("planView.startAtBench")}
          </Button>
        )}
      </div>
      {begin.isError && <Failure error={begin.error} />}
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2">
        {phases.length > 1 && (
          <Choice
            label={say("planView.phaseMoved")}
            value={reference}
            onValue={(value) => setWish({ ...wish, reference: value })}
            options={phases.map(
              (one) =>
                [
                  one.id,
                  `${one.name}${one.id === story.reference ? ` ${say("planView.flownMost")}` : ""}`,
                ] as const,
            )}
          />
        )}
        {phases.length > 1 && (
          <Check
            className="h-9"
            label={say("planView.presetsCorrect")}
            checked={wish.presetsTakeUp}
            onChecked={(on) => setWish({ ...wish, presetsTakeUp: on })}
          />
        )}
      </div>
      <WorthCard found={found.data} story={story} wish={wish} onWish={setWish} />
      {found.isError && <Failure error={found.error} />}
      {plan != null && (
        <>
          {plan.cautions.map((caution) => (
            <p key={caution} role="note" className="border-l-4 border-tag bg-sheet px-4 py-3">
              {caution}
            </p>
          ))}
          <Card>
            <ul>
              {plan.rods.map((rod) => (
                <RodRow
                  key={rod.surface}
                  rod={rod}
                  ways={plan.ways.filter((one) => one.surface === rod.surface)}
                  wish={wish}
                  onWish={setWish}
                />
              ))}
            </ul>
          </Card>
          {plan.remedies.length > 0 && (
            <Card title={say("planView.checkFirst")}>
              <ul className="list-disc space-y-1 pl-5" data-remedies>
                {plan.remedies.map((one) => (
                  <li key={one.surface + one.kind}>{one.words}</li>
                ))}
              </ul>
            </Card>
          )}
          <PhasesAfter plan={plan} />
          <AfterCards plan={plan} />
          <p className="text-soft">{say("planView.stepByStep")}</p>
        </>
      )}
    </div>
  );
}

interface WorthProps {
  found: RodPlan;
  story: Story;
  wish: PlanOptions;
  onWish: (wish: PlanOptions) => void;
}

/** Every control of the phase: into the rods, or staying, and why. */
function WorthCard({ found, story, wish, onWish }: WorthProps) {
  const here = story.series.filter((one) => one.phase === found.reference);
  return (
    <Card title={say("planView.worthTurning")}>
      <ul className="space-y-1.5" data-worth>
        {here.map((one) => {
          const name = controlName(keyOf(one.control as Control));
          const verdict = found.worth.find((each) => each.control === one.control);
          const left = wish.leave.includes(one.control);
          return (
            <li
              key={one.control}
              data-control={one.control}
              className="flex flex-wrap items-center justify-between gap-x-4"
            >
              {verdict === undefined ? (
                <p className="text-soft">
                  <strong>{name}:</strong> {left ? say("planView.staysChosen") : one.words}
                </p>
              ) : (
                <p className={verdict.worth ? "font-medium" : "text-soft"}>{verdict.words}</p>
              )}
              {(verdict?.worth === true || left) && (
                <Check
                  label={say("planView.leaveInTransmitter", { name: within(name) })}
                  checked={left}
                  onChecked={(on) =>
                    onWish({
                      ...wish,
                      leave: on
                        ? [...wish.leave, one.control]
                        : wish.leave.filter((each) => each !== one.control),
                    })
                  }
                />
              )}
            </li>
          );
        })}
      </ul>
    </Card>
  );
}

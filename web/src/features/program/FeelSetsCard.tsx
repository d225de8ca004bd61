import { AddButton } from "@/features/model/edits";
import { useCopy, useFeelStart } from "@/api/edits";
import { Fold } from "@/ui/fold";
import { Copy, Plus, X } from "lucide-react";
import { useState } from "react";
import { CONTROL_KEYS, controlName } from "@/domain/words";
import { DraftCheck, DraftNumber, DraftText } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Choice } from "@/ui/choice";
import { Failure } from "@/ui/message";
import { DraftPhases, DraftWhen } from "./parts";
import { say } from "@/words/generated/program";

/** Rates and expo by switch or phase; of the sets that are on, the first decides a control. */
export function FeelSetsCard() {
  const { draft, change } = useModel();
  const sets = draft.present.feelSets;
  const set = (value: typeof sets) => change({ type: "edit", path: ["feelSets"], value });
  return (
    <Card title={say("feelSetsCard.title")}>
      <StartingPoints />
      {sets.map((one, i) => (
        <Fold
          key={one.id}
          className="border-t border-line py-2"
          title={<span className="font-medium">{one.name}</span>}
        >
          <div className="grid grid-cols-2 gap-3 py-2 sm:grid-cols-3">
            <DraftText path={["feelSets", i, "name"]} label={say("feelSetsCard.name")} />
            <DraftWhen
              path={["feelSets", i, "when"]}
              label={say("feelSetsCard.activeWhile")}
              none={say("feelSetsCard.always")}
            />
            <Button
              look="quiet"
              className="self-end justify-self-start"
              onClick={() => set(sets.filter((_, other) => other !== i))}
            >
              <X aria-hidden size={15} /> {say("feelSetsCard.remove")}
            </Button>
            <CopySet id={one.id} />
          </div>
          <DraftPhases path={["feelSets", i, "phases"]} />
          {CONTROL_KEYS.map((key) => {
            const has = `has${controlName(key)}` as "hasRoll" | "hasPitch" | "hasYaw";
            return (
              <div
                key={key}
                className="mt-2 grid grid-cols-[5.5rem_1fr_1fr_1fr_1fr] items-start gap-2"
              >
                <div className="pt-7">
                  <DraftCheck path={["feelSets", i, has]} label={controlName(key)} />
                </div>
                {one[has] &&
                  (
                    [
                      "rateNegativePercent",
                      "ratePositivePercent",
                      "expoNegativePercent",
                      "expoPositivePercent",
                    ] as const
                  ).map((field) => (
                    <DraftNumber key={field} path={["feelSets", i, "feel", key, field]} />
                  ))}
              </div>
            );
          })}
        </Fold>
      ))}
      <AddButton className="mt-2" part="FEEL_SET">
        <Plus aria-hidden size={16} /> {say("feelSetsCard.aSet")}
      </AddButton>
    </Card>
  );
}

/** The same set once more, to be changed. */
function CopySet({ id }: { id: string }) {
  const { draft } = useModel();
  const worked = useWorked();
  const copy = useCopy();
  return (
    <Button
      look="quiet"
      className="self-end justify-self-start"
      disabled={copy.isPending}
      onClick={() =>
        void worked(copy.mutateAsync({ setup: draft.present, what: "FEEL_SET", from: id, to: "" }))
      }
    >
      <Copy aria-hidden size={15} /> {say("feelSetsCard.copy")}
    </Button>
  );
}

function StartingPoints() {
  const { draft } = useModel();
  const worked = useWorked();
  const start = useFeelStart();
  const three = draft.present.transmitter.inputs.filter((one) => one.positions === 3);
  const [input, setInput] = useState(three[0]?.id ?? "");
  const take = (way: "ONE_SOFT" | "LADDER" | "PER_PHASE") =>
    void worked(
      start.mutateAsync({ setup: draft.present, way, input: way === "LADDER" ? input : "" }),
    );
  return (
    <div className="mb-2 flex flex-wrap items-end gap-2 text-sm">
      <Button onClick={() => take("ONE_SOFT")}>{say("feelSetsCard.oneRate")}</Button>
      {three.length > 0 && (
        <>
          <Button onClick={() => take("LADDER")}>{say("feelSetsCard.threeRates")}</Button>
          <Choice
            label={say("feelSetsCard.on")}
            value={input}
            onValue={setInput}
            options={three.map((one) => [one.id, one.name] as const)}
          />
        </>
      )}
      {draft.present.phases.length > 1 && (
        <Button onClick={() => take("PER_PHASE")}>{say("feelSetsCard.perPhase")}</Button>
      )}
      <p className="w-full text-xs text-soft">{say("feelSetsCard.described")}</p>
      {start.isError && <Failure error={start.error} />}
    </div>
  );
}

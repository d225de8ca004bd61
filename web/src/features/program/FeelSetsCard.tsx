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

/** Rates and expo by switch or phase; of the sets that are on, the first decides a control. */
export function FeelSetsCard() {
  const { draft, change } = useModel();
  const sets = draft.present.feelSets;
  const set = (value: typeof sets) => change({ type: "edit", path: ["feelSets"], value });
  return (
    <Card title="Rates and expo by switch or phase">
      <StartingPoints />
      {sets.map((one, i) => (
        <Fold
          key={one.id}
          className="border-t border-line py-2"
          title={<span className="font-medium">{one.name}</span>}
        >
          <div className="grid grid-cols-2 gap-3 py-2 sm:grid-cols-3">
            <DraftText path={["feelSets", i, "name"]} label="Name" />
            <DraftWhen path={["feelSets", i, "when"]} label="Active while" none="always" />
            <Button
              look="quiet"
              className="self-end justify-self-start"
              onClick={() => set(sets.filter((_, other) => other !== i))}
            >
              <X aria-hidden size={15} /> Remove
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
        <Plus aria-hidden size={16} /> A set
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
      <Copy aria-hidden size={15} /> Copy
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
      <Button onClick={() => take("ONE_SOFT")}>One rate with high expo</Button>
      {three.length > 0 && (
        <>
          <Button onClick={() => take("LADDER")}>Three rates on a switch</Button>
          <Choice
            label="on"
            value={input}
            onValue={setInput}
            options={three.map((one) => [one.id, one.name] as const)}
          />
        </>
      )}
      {draft.present.phases.length > 1 && (
        <Button onClick={() => take("PER_PHASE")}>Rates per flight phase</Button>
      )}
      <p className="w-full text-xs text-soft">
        One soft setting: nothing has to be switched, much expo tames full travel. Ladder: full and
        nearly linear, full and soft in the middle to begin with, reduced and soft. Rates per flight
        phase: less in speed, all there is in slow air.
      </p>
      {start.isError && <Failure error={start.error} />}
    </div>
  );
}

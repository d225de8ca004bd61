import { Plus, X } from "lucide-react";
import { useProgramSheet } from "@/api/program";
import { DraftChoice } from "@/features/model/fields";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failed } from "@/ui/message";
import { say } from "@/words/generated/program";

const PATH = ["power", "startPositions"] as const;

/** Where switches must stand when the transmitter is switched on. */
export function DemandedCard() {
  const { draft, change } = useModel();
  const setup = draft.present;
  const list = setup.power.startPositions;
  const sheet = useProgramSheet(setup);
  const switches = setup.transmitter.inputs.filter((one) => one.kind === "SWITCH");
  const free = switches.find((one) => !list.some((each) => each.input === one.id));
  const put = (value: typeof list) => change({ type: "edit", path: PATH, value });
  return switches.length === 0 ? null : (
    <Card title={say("demandedCard.title")}>
      <Failed of={[sheet]} />
      {list.map((one, i) => {
        const rows = sheet.data?.switches.filter((row) => row.input === one.input) ?? [];
        return (
          <div key={one.input} className="mb-2 flex items-end gap-3">
            <span className="w-44 self-center text-sm font-medium first-letter:uppercase">
              {switches.find((each) => each.id === one.input)?.name}
            </span>
            <DraftChoice
              path={[...PATH, i, "position"]}
              label={say("demandedCard.position")}
              options={rows.map(
                (row) =>
                  [
                    row.position,
                    row.brings === "" ? `${row.position}` : `${row.position}: ${row.brings}`,
                  ] as const,
              )}
            />
            <Button
              look="quiet"
              className="!px-2"
              aria-label={say("demandedCard.remove", { input: one.input })}
              onClick={() => put(list.filter((_, other) => other !== i))}
            >
              <X aria-hidden size={15} />
            </Button>
          </div>
        );
      })}
      {free !== undefined && (
        <Button onClick={() => put([...list, { input: free.id, position: 1 }])}>
          <Plus aria-hidden size={16} /> <span className="first-letter:uppercase">{free.name}</span>
        </Button>
      )}
    </Card>
  );
}

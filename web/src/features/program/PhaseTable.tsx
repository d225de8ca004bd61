import { Link2, Unlink2 } from "lucide-react";
import { useState } from "react";
import { useMovements, useProgramSheet, type MovementSheet, type Phase } from "@/api/program";
import { travel } from "@/domain/words";
import { useBench, useBenchStore } from "@/features/bench/store";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { SwitchTabs } from "@/ui/switch-tabs";
import { MovementField, UnitChoice } from "./MovementField";
import { rowName, rows, type Row } from "./pairs";
import { Explained } from "@/ui/explained";
import { Term } from "./Term";
import { Say, say } from "@/words/generated/program";
import { Failed } from "@/ui/message";
import { told } from "@/words/generated/enums";

type Stand = MovementSheet["phases"][number]["surfaces"][number];
type Shows = "preset" | "differential" | "full";

/** Presets, differential and full sticks of every phase, as the bench shows them. */
export function PhaseTable() {
  const [shows, setShows] = useState<Shows>("preset");
  return (
    <Card title={say("phaseTable.title")} aside={<UnitChoice />} className="overflow-x-auto">
      <SwitchTabs
        label={say("phaseTable.shown")}
        value={shows}
        onValue={setShows}
        options={[
          ["preset", say("phaseTable.presets"), <Table key="preset" shows="preset" />],
          [
            "differential",
            say("phaseTable.differential"),
            <Table key="differential" shows="differential" />,
          ],
          ["full", say("phaseTable.fullSticks"), <Table key="full" shows="full" />],
        ]}
      />
      <p className="mt-2 text-sm">
        <Say
          id="phaseTable.shows"
          values={{
            shows: shows === "preset",
            showsOther: shows === "differential",
            showsThird: shows === "full",
            phase: <Explained term="flightPhase" />,
            term: <Term name="priority" />,
            termOther: <Term name="fade" />,
            termThird: <Term name="differential" />,
          }}
        />
      </p>
    </Card>
  );
}

function Table({ shows }: { shows: Shows }) {
  const { draft } = useModel();
  const setup = draft.present;
  const bench = useBench((state) => state.moment);
  const store = useBenchStore();
  const now = useBench((state) => state.frame?.phase);
  const sheet = useProgramSheet(setup);
  const movements = useMovements(setup, bench);
  const [apart, setApart] = useState<string[]>([]);
  const all: { row: Row; pair: Row | undefined; differ: boolean }[] = rows(setup.surfaces)
    .filter(({ first }) => shows !== "differential" || first.shares.roll !== 0)
    .flatMap((row) => {
      const { first, second } = row;
      if (second === undefined) {
        return [{ row, pair: undefined, differ: false }];
      }
      const differ = differs(movements.data, first.id, shows);
      return differ || apart.includes(first.id)
        ? [
            { row: { first }, pair: row, differ },
            { row: { first: second }, pair: undefined, differ },
          ]
        : [{ row, pair: row, differ }];
    });
  return (
    <>
      <Failed of={[sheet, movements]} />
      <table
        className="figures cards-on-phone w-full border-collapse text-sm sm:min-w-[560px]"
        data-phases
      >
        <thead>
          <tr className="border-b-2 border-ink text-left align-bottom">
            <th className="py-1 pr-2 font-medium text-soft">{say("phaseTable.surface")}</th>
            {setup.phases.map((phase) => {
              const stand = movements.data?.phases.find((one) => one.phase === phase.id);
              return (
                <th
                  key={phase.id}
                  data-phase-of={phase.id}
                  data-moment={stand?.reached === true ? JSON.stringify(stand.moment) : ""}
                  className={`px-1.5 py-1 ${phase.id === now ? "rounded-t-card bg-inset" : ""}`}
                >
                  {stand?.reached === true && !stand.here ? (
                    <button
                      type="button"
                      className="min-h-[24px] underline decoration-dotted underline-offset-2"
                      title={say("phaseTable.setBench", { moved: stand.moved.join(", ") })}
                      onClick={() => store.move(stand.moment)}
                    >
                      {phase.name}
                    </button>
                  ) : (
                    phase.name
                  )}
                  <span className="block text-xs font-normal text-soft">
                    {stand?.reached === false
                      ? say("phaseTable.neverOn")
                      : sheet.data?.phases.find((one) => one.phase === phase.id)?.when}
                  </span>
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {all.map(({ row, pair, differ }) => (
            <tr key={row.first.id} className="border-b border-line align-top">
              <th scope="row" className="py-1 pr-2 text-left font-medium">
                {rowName(row)}
                {pair !== undefined && (
                  <Chain
                    name={rowName(pair)}
                    apart={row.second === undefined}
                    held={differ}
                    onTurn={() =>
                      setApart((list) =>
                        list.includes(pair.first.id)
                          ? list.filter((one) => one !== pair.first.id)
                          : [...list, pair.first.id],
                      )
                    }
                  />
                )}
              </th>
              {setup.phases.map((phase) => {
                const there = movements.data?.phases.find(
                  (one) => one.phase === phase.id,
                )?.surfaces;
                const found = [row.first, row.second].map((surface) =>
                  there?.find((one) => one.surface === surface?.id),
                );
                return (
                  <td
                    key={phase.id}
                    className={`px-1.5 py-1 ${phase.id === now ? "bg-inset" : ""}`}
                    data-label={phase.name}
                    data-cell={`${phase.id}/${row.first.id}`}
                  >
                    <Cell shows={shows} phase={phase} row={row} found={found} />
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** Whether the two of a pair differ in some phase. */
const differs = (movements: MovementSheet | undefined, surface: string, shows: Shows) =>
  movements?.phases.some((phase) =>
    phase.surfaces.some(
      (one) =>
        one.surface === surface &&
        !(shows === "differential" ? one.differentialAsPair : one.presetAsPair),
    ),
  ) === true;

interface ChainProps {
  name: string;
  apart: boolean;
  held: boolean;
  onTurn: () => void;
}

/** A pair's chain: closed, both get what one gets. */
function Chain({ name, apart, held, onTurn }: ChainProps) {
  return (
    <Button
      look="quiet"
      className="ml-1 !min-h-[24px] min-w-[24px] justify-center !px-1 align-middle"
      aria-pressed={!apart}
      disabled={held}
      aria-label={
        apart
          ? say("phaseTable.editTogether", { name })
          : say("phaseTable.editSeparately", { name })
      }
      onClick={onTurn}
    >
      {apart ? <Unlink2 aria-hidden size={14} /> : <Link2 aria-hidden size={14} />}
    </Button>
  );
}

interface CellProps {
  shows: Shows;
  phase: Phase;
  row: Row;
  /** Of each surface of the row. */
  found: readonly (Stand | undefined)[];
}

function Cell({ shows, phase, row, found }: CellProps) {
  const { first, second } = row;
  const stand = found[0];
  const stands = [first, second].flatMap((one, at) => {
    const mm = found[at]?.restMm;
    return one === undefined || mm === undefined ? [] : [travel(mm, one)];
  });
  const at = {
    subject: phase.id,
    surface: first.id,
    plusSide: true,
    pair: second !== undefined,
    bothSides: false,
  };
  if (shows === "full") {
    return (
      <>
        {stand?.full.map((one) => (
          <span key={one.control} className="block text-xs" data-full={one.control}>
            <span className="text-soft">{told("Control", one.control)} </span>
            {travel(one.plusMm, first)} / {travel(one.minusMm, first)}
          </span>
        ))}
      </>
    );
  }
  return shows === "preset" ? (
    <>
      <MovementField
        quiet
        label={`${phase.name}, ${rowName(row)}`}
        wish={{ ...at, kind: "PRESET" }}
        shown={{
          percent: phase.presets.find((one) => one.surface === first.id)?.percent ?? 0,
          mm: stand?.presetMm,
          degrees: stand?.presetDegrees,
        }}
      />
      <p className="text-xs text-soft">
        {say("phaseTable.total")}{" "}
        {stands
          .filter((words, at, all) => all.indexOf(words) === at)
          .map((words, at) => (
            <span key={words} className="whitespace-nowrap">
              {at > 0 && ", "}
              {words}
            </span>
          ))}
      </p>
    </>
  ) : (
    <MovementField
      quiet
      sized
      label={say("phaseTable.differentialOf", { phase: phase.name, rowName: rowName(row) })}
      wish={{ ...at, kind: "DIFFERENTIAL" }}
      shown={{
        percent: phase.differential.find((one) => one.surface === first.id)?.percent ?? 0,
        mm: stand?.rollDown.mm,
        degrees: stand?.rollDown.degrees,
      }}
    />
  );
}

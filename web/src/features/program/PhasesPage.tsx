import { exchanged } from "@/domain/lists";
import { ArrowDown, ArrowUp, X } from "lucide-react";
import { useState } from "react";
import { useProgramSheet, type Phase } from "@/api/program";
import { travel } from "@/domain/words";
import { DraftCheck, DraftChoice, DraftNumber, DraftText, useField } from "@/features/model/fields";
import { NOSES, PHASE_ROLES } from "@/features/model/roles";
import { useModel } from "@/features/model/model";
import { useBench } from "@/features/bench/store";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { problemOf } from "@/ui/range";
import { Tip } from "@/ui/tip";
import { Term } from "./Term";
import { RemoveDialog } from "./RemoveDialog";
import { AddPhase } from "./AddPhase";
import { BenchBeside } from "./BenchBeside";
import { DraftWhen } from "./parts";

/** Phases against surfaces, in percent and millimetres; the first whose condition is true is on. */
export function PhasesPage() {
  const { draft, change } = useModel();
  const setup = draft.present;
  const sheet = useProgramSheet(setup);
  const now = useBench((state) => state.frame?.phase);
  const last = setup.phases.length - 1;
  const [gone, setGone] = useState("");
  const setPhases = (value: Phase[]) => change({ type: "edit", path: ["phases"], value });
  const exchange = (i: number) => setPhases(exchanged(setup.phases, i));
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_380px]">
      <div className="min-w-0 space-y-3">
        <Card title="Phases against surfaces" className="overflow-x-auto">
          <table className="figures w-full min-w-[560px] border-collapse text-sm" data-phases>
            <thead>
              <tr className="border-b-2 border-ink text-left align-bottom">
                <th className="py-1 pr-2 font-medium text-soft">Preset, and where it stands</th>
                {setup.phases.map((phase) => (
                  <th
                    key={phase.id}
                    className={`px-1.5 py-1 ${phase.id === now ? "rounded-t-card bg-inset" : ""}`}
                  >
                    {phase.name}
                    <span className="block text-xs font-normal text-soft">
                      {sheet.data?.phases.find((one) => one.phase === phase.id)?.when}
                    </span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {setup.surfaces.map((surface, row) => (
                <tr key={surface.id} className="border-b border-line">
                  <th className="py-1 pr-2 text-left font-medium">{surface.name}</th>
                  {setup.phases.map((phase, i) => {
                    const cell = sheet.data?.phases[i]?.cells[row];
                    return (
                      <td
                        key={phase.id}
                        className={`px-1.5 py-1 ${phase.id === now ? "bg-inset" : ""}`}
                      >
                        <PresetCell index={i} phase={phase} surface={surface.id} />
                        <span className="block text-xs text-soft">
                          {cell === undefined ? "" : travel(cell.restMm, surface)}
                        </span>
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-2 text-sm">
            About <Term name="priority" />, <Term name="fade" /> and <Term name="differential" />.
          </p>
        </Card>
        {setup.phases.map((phase, i) => (
          <Card
            key={phase.id}
            title={phase.name}
            aside={
              i < last && (
                <span className="flex gap-1">
                  <Button
                    look="quiet"
                    className="!px-2"
                    aria-label={`${phase.name}: earlier`}
                    disabled={i === 0}
                    onClick={() => exchange(i - 1)}
                  >
                    <ArrowUp aria-hidden size={15} />
                  </Button>
                  <Button
                    look="quiet"
                    className="!px-2"
                    aria-label={`${phase.name}: later`}
                    disabled={i >= last - 1}
                    onClick={() => exchange(i)}
                  >
                    <ArrowDown aria-hidden size={15} />
                  </Button>
                  <Button
                    look="quiet"
                    className="!px-2"
                    aria-label={`Remove ${phase.name}`}
                    onClick={() => setGone(phase.id)}
                  >
                    <X aria-hidden size={15} />
                  </Button>
                </span>
              )
            }
          >
            <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
              <DraftText path={["phases", i, "name"]} label="Name" />
              {i < last ? (
                <DraftWhen path={["phases", i, "when"]} label="On while" none="never" />
              ) : (
                <p className="self-center text-sm text-soft">On when no other is</p>
              )}
              <DraftNumber path={["phases", i, "fadeSeconds"]} />
              <DraftChoice
                path={["phases", i, "role"]}
                label="What it is for"
                options={PHASE_ROLES}
              />
              <DraftChoice
                path={["phases", i, "nose"]}
                label="The nose when it comes on"
                options={NOSES}
              />
              <div className="space-y-0.5 self-center">
                <DraftCheck path={["phases", i, "ownRoll"]} label="Own roll trim" />
                <DraftCheck path={["phases", i, "ownPitch"]} label="Own pitch trim" />
                <DraftCheck path={["phases", i, "ownYaw"]} label="Own yaw trim" />
              </div>
              <div className="col-span-2 sm:col-span-4">
                <DraftText path={["phases", i, "goal"]} label="Goal" />
              </div>
            </div>
            <DifferentialRow index={i} phase={phase} />
          </Card>
        ))}
        <AddPhase />
        <RemoveDialog
          id={gone}
          name={setup.phases.find((one) => one.id === gone)?.name ?? ""}
          onClose={() => setGone("")}
        />
      </div>
      <BenchBeside />
    </div>
  );
}

interface CellProps {
  index: number;
  phase: Phase;
  surface: string;
}

/** A surface without an entry has a preset of 0; typing one makes the entry. */
function PresetCell({ index, phase, surface }: CellProps) {
  const { change } = useModel();
  const at = phase.presets.findIndex((one) => one.surface === surface);
  return at >= 0 ? (
    <PercentInput
      field="setup.phases[].presets[].percent"
      label={`${phase.name}, preset of ${surface}`}
      value={phase.presets[at]?.percent ?? 0}
      onValue={(value) =>
        change({ type: "edit", path: ["phases", index, "presets", at, "percent"], value })
      }
    />
  ) : (
    <PercentInput
      field="setup.phases[].presets[].percent"
      label={`${phase.name}, preset of ${surface}`}
      value={0}
      onValue={(percent) =>
        change({
          type: "edit",
          path: ["phases", index, "presets"],
          value: [...phase.presets, { surface, percent }],
        })
      }
    />
  );
}

interface PercentProps {
  /** The catalogue's field, for its range. */
  field: string;
  label: string;
  value: number;
  onValue: (value: number) => void;
}

function PercentInput({ field, label, value, onValue }: PercentProps) {
  const known = useField(field);
  const [typed, setTyped] = useState({ text: String(value), of: value });
  const text = typed.of === value ? typed.text : String(value);
  const number = Number(text);
  const problem = known === undefined ? undefined : problemOf(known, text);
  const wrong = problem !== undefined;
  return (
    <span className="flex items-center gap-0.5">
      <Tip words={problem}>
        <input
          aria-label={`${label}, percent`}
          aria-invalid={wrong}
          inputMode="decimal"
          className={`h-7 w-14 rounded-card border bg-sheet px-1.5 text-right font-medium ${wrong ? "border-2 border-grounded" : "border-line-strong"}`}
          value={text}
          onChange={(event) => setTyped({ text: event.target.value, of: value })}
          onBlur={() => !wrong && number !== value && onValue(number)}
        />
      </Tip>
      <span className="text-xs text-soft">%</span>
    </span>
  );
}

function DifferentialRow({ index, phase }: { index: number; phase: Phase }) {
  const { draft, change } = useModel();
  const rolling = draft.present.surfaces.filter((one) => one.shares.roll !== 0);
  const set = (surface: string, percent: number) =>
    change({
      type: "edit",
      path: ["phases", index, "differential"],
      value: [
        ...phase.differential.filter((one) => one.surface !== surface),
        ...(percent === 0 ? [] : [{ surface, percent }]),
      ],
    });
  return rolling.length === 0 ? null : (
    <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
      <span className="text-soft">Differential, plus makes the down-going side smaller:</span>
      {rolling.map((surface) => (
        <span key={surface.id} className="flex items-center gap-1">
          {surface.name}
          <PercentInput
            field="setup.phases[].differential[].percent"
            label={`${phase.name}, differential of ${surface.id}`}
            value={phase.differential.find((one) => one.surface === surface.id)?.percent ?? 0}
            onValue={(value) => set(surface.id, value)}
          />
        </span>
      ))}
    </div>
  );
}

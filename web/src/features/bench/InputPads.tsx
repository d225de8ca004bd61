import { useProgramSheet } from "@/api/program";
import { percent } from "@/domain/words";
import { Slider, ToggleGroup } from "radix-ui";
import { useBench, useBenchStore } from "./store";
import { say } from "@/words/generated/bench";

/** The levers and switches something on this model listens to; the others would only be in the way. */
export function InputPads({ compact = false }: { compact?: boolean }) {
  const store = useBenchStore();
  const setup = useBench((state) => state.setup);
  const values = useBench((state) => state.moment.inputs);
  const sheet = useProgramSheet(setup);
  if (setup === undefined) {
    return null;
  }
  const brings = (input: string) =>
    sheet.data?.switches.filter((one) => one.input === input).map((one) => one.brings) ?? [];
  const used = new Set([
    ...setup.surfaces.flatMap((surface) => surface.shares.levers.map((lever) => lever.input)),
    ...setup.channels.map((channel) => channel.carries),
    ...setup.conditions.map((condition) => condition.subject),
    ...setup.mixes.map((mix) => mix.subject),
    setup.power.throttleInput,
  ]);
  const inputs = setup.transmitter.inputs;
  const move = (index: number, value: number) =>
    store.move({ inputs: inputs.map((_, i) => (i === index ? value : (values[i] ?? 0))) });
  return (
    <div className={compact ? "space-y-0.5" : "space-y-1.5"}>
      {inputs.map((input, index) =>
        !used.has(input.id) ? null : (
          <div
            key={input.id}
            className={
              compact
                ? "grid grid-cols-[minmax(0,1fr)_86px] items-center gap-1 text-xs leading-tight"
                : "flex items-center gap-3 text-sm"
            }
          >
            <span className={compact ? "min-w-0" : "w-28 shrink-0"}>
              <span className="block truncate first-letter:uppercase">{input.name}</span>
              {compact && input.kind === "SWITCH" && (
                <strong className="block truncate" data-brings={input.id}>
                  {brings(input.id)[placeOf(values[index] ?? 0, input.positions)]}
                </strong>
              )}
            </span>
            {input.kind === "LEVER" ? (
              <LeverPad
                compact={compact}
                name={input.name}
                value={values[index] ?? 0}
                onMove={(value) => move(index, value)}
              />
            ) : (
              <SwitchPad
                name={input.name}
                positions={input.positions}
                brings={brings(input.id)}
                compact={compact}
                value={values[index] ?? 0}
                onMove={(value) => move(index, value)}
              />
            )}
          </div>
        ),
      )}
    </div>
  );
}

interface PadProps {
  name: string;
  value: number;
  onMove: (value: number) => void;
}

function LeverPad({ compact, name, value, onMove }: PadProps & { compact: boolean }) {
  return (
    <div className={compact ? "flex items-center" : "contents"}>
      <Slider.Root
        className="relative flex h-7 flex-1 touch-none items-center"
        value={[value]}
        min={0}
        max={1}
        step={0.01}
        onValueChange={([moved]) => onMove(moved ?? 0)}
      >
        <Slider.Track className="h-1.5 flex-1 rounded-full bg-line">
          <Slider.Range className="absolute h-1.5 rounded-full bg-brand" />
        </Slider.Track>
        <Slider.Thumb
          aria-label={name}
          className="block h-6 w-4 rounded-card border border-line-strong bg-sheet"
        />
      </Slider.Root>
      <span className={`figures text-right ${compact ? "w-8" : "w-10"}`}>{percent(value)} %</span>
    </div>
  );
}

/** Which position a switch is at, counted from 0. */
const placeOf = (value: number, positions: number) => Math.round(value * (positions - 1));

interface SwitchProps extends PadProps {
  positions: number;
  /** What each position brings. */
  brings: string[];
  compact: boolean;
}

function SwitchPad({ name, positions, value, brings, compact, onMove }: SwitchProps) {
  const at = placeOf(value, positions);
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={name}
      value={String(at)}
      onValueChange={(chosen) => chosen !== "" && onMove(Number(chosen) / (positions - 1))}
      className="grid flex-1 auto-cols-fr grid-flow-col overflow-hidden rounded-card border border-line-strong"
    >
      {Array.from({ length: positions }, (_, i) => (
        <ToggleGroup.Item
          key={i}
          value={String(i)}
          aria-label={say("inputPads.position", {
            name,
            i: i + 1,
            brings: (brings[i] ?? "") === "" ? "" : `: ${brings[i]}`,
          })}
          title={brings[i]}
          className="min-h-7 border-l border-line-strong first:border-l-0 data-[state=on]:bg-brand data-[state=on]:text-on-brand"
        >
          {compact || (brings[i] ?? "") === "" ? i + 1 : brings[i]}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

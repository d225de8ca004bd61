import { Check } from "@/ui/check";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { useSwitchedOn } from "@/api/edits";
import { useProgramSheet } from "@/api/program";
import { replaced, valueAt, type Path } from "@/domain/draft";
import { Choice } from "@/ui/choice";
import { say } from "@/words/generated/program";

const SWITCH = "switch/";

/**
 * What can be picked as a condition: those there are, and every position of a switch by what it
 * brings, whose condition is made where it is needed.
 */
function useConditions(none: string) {
  const { draft } = useModel();
  const setup = draft.present;
  const sheet = useProgramSheet(setup);
  const make = useSwitchedOn();
  const known = setup.conditions.map((one) => [one.id, one.name] as const);
  const places = (sheet.data?.switches ?? [])
    .filter((row) => row.position > 0)
    .filter(
      (row) =>
        !setup.conditions.some(
          (one) =>
            one.kind === "SWITCH_AT" && one.subject === row.input && one.limit === row.position,
        ),
    )
    .map(
      (row) =>
        [
          `${SWITCH}${row.input}/${row.position}`,
          say("parts.at", {
            name: row.name,
            position: row.position,
            brings: row.brings === "" ? "" : ` (${row.brings})`,
          }),
        ] as const,
    );
  /** The condition of a position that has none yet, in the setup that has it; nothing for one there is. */
  const made = (picked: string) => {
    if (!picked.startsWith(SWITCH)) {
      return undefined;
    }
    const [input = "", position] = picked.slice(SWITCH.length).split("/");
    return make.mutateAsync({ setup, input, position: Number(position) });
  };
  return { options: [["", none] as const, ...known, ...places], made };
}

/** A condition of the draft, or none. */
export function DraftWhen({ path, label, none }: { path: Path; label: string; none: string }) {
  const { draft, change } = useModel();
  const { options, made } = useConditions(none);
  const worked = useWorked();
  const pick = (picked: string) => {
    const making = made(picked);
    if (making === undefined) {
      change({ type: "edit", path, value: picked });
      return;
    }
    void worked(
      making.then(
        ({ setup: changed, condition }) => replaced(changed, path, condition) as typeof changed,
      ),
    );
  };
  return (
    <Choice
      label={label}
      value={valueAt(draft.present, path) as string}
      options={options}
      onValue={pick}
    />
  );
}

interface WhenProps {
  label: string;
  none: string;
  value: string;
  onValue: (condition: string) => void;
}

/** A condition picked for something that is not in the draft yet. */
export function WhenChoice({ label, none, value, onValue }: WhenProps) {
  const { options, made } = useConditions(none);
  const worked = useWorked();
  const pick = (picked: string) => {
    const making = made(picked);
    if (making === undefined) {
      onValue(picked);
      return;
    }
    void worked(
      making.then(({ setup, condition }) => {
        onValue(condition);
        return setup;
      }),
    );
  };
  return <Choice label={label} value={value} options={options} onValue={pick} />;
}

/** Which phases something acts in; none ticked means all. */
export function DraftPhases({ path }: { path: Path }) {
  const { draft, change } = useModel();
  const chosen = valueAt(draft.present, path) as string[];
  const toggle = (id: string, on: boolean) =>
    change({
      type: "edit",
      path,
      value: on ? [...chosen, id] : chosen.filter((one) => one !== id),
    });
  return draft.present.phases.length < 2 ? null : (
    <fieldset className="flex flex-wrap gap-x-3 gap-y-1 text-sm">
      <legend className="text-soft">
        {say("parts.inPhases", { chosen: chosen.length === 0 })}
      </legend>
      {draft.present.phases.map((phase) => (
        <Check
          key={phase.id}
          checked={chosen.includes(phase.id)}
          onChecked={(checked) => toggle(phase.id, checked)}
          label={phase.name}
        />
      ))}
    </fieldset>
  );
}

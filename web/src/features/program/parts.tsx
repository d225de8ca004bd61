import { Check } from "@/ui/check";
import { useModel } from "@/features/model/model";
import { useWorked } from "@/features/model/worked";
import { useSwitchedOn } from "@/api/edits";
import { useProgramSheet } from "@/api/program";
import { replaced, valueAt, type Path } from "@/domain/draft";
import { Choice } from "@/ui/choice";

const SWITCH = "switch/";

/**
 * A condition of the draft, or none. A position of a switch is picked as such, by what it brings: its
 * condition is made where it is needed.
 */
export function DraftWhen({ path, label, none }: { path: Path; label: string; none: string }) {
  const { draft, change } = useModel();
  const setup = draft.present;
  const sheet = useProgramSheet(setup);
  const make = useSwitchedOn();
  const worked = useWorked();
  const value = valueAt(setup, path) as string;
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
          `${row.name} at ${row.position}${row.brings === "" ? "" : ` (${row.brings})`}`,
        ] as const,
    );
  const pick = (picked: string) => {
    if (!picked.startsWith(SWITCH)) {
      change({ type: "edit", path, value: picked });
      return;
    }
    const [input = "", position] = picked.slice(SWITCH.length).split("/");
    void worked(
      make
        .mutateAsync({ setup, input, position: Number(position) })
        .then(
          ({ setup: changed, condition }) => replaced(changed, path, condition) as typeof changed,
        ),
    );
  };
  return (
    <Choice
      label={label}
      value={value}
      options={[["", none] as const, ...known, ...places]}
      onValue={pick}
    />
  );
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
      <legend className="text-soft">In phases {chosen.length === 0 && "(all)"}</legend>
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

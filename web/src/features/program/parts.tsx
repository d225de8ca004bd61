import { Check } from "@/ui/check";
import { useModel } from "@/features/model/model";
import { DraftChoice } from "@/features/model/fields";
import { valueAt, type Path } from "@/domain/draft";

/** A condition of the draft, or none. */
export function DraftWhen({ path, label, none }: { path: Path; label: string; none: string }) {
  const { draft } = useModel();
  const options = draft.present.conditions.map((one) => [one.id, one.name] as const);
  return <DraftChoice path={path} label={label} options={[["", none], ...options]} />;
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

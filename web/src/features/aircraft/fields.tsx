import { useFields, type Field } from "@/api/queries";
import { cataloguePath, valueAt, type Path } from "@/domain/draft";
import { NumberField } from "@/ui/number-field";
import { useModel } from "./model";

/** The catalogue's entry for a path; ranges and units come from the core. */
export function useField(path: string): Field | undefined {
  return useFields().data?.find((field) => field.path === path);
}

/** A number of the draft, wherever it stands. */
export function DraftNumber({ path, label }: { path: Path; label?: string }) {
  const { draft, change } = useModel();
  const field = useField(cataloguePath(path));
  if (field === undefined) {
    return null;
  }
  return (
    <NumberField
      field={field}
      label={label}
      value={valueAt(draft.present, path) as number}
      onValue={(value) => change({ type: "edit", path, value })}
    />
  );
}

interface ChoiceProps {
  path: Path;
  label: string;
  options: readonly (readonly [value: string | boolean, words: string])[];
}

/** One of a few values of the draft. */
export function DraftChoice({ path, label, options }: ChoiceProps) {
  const { draft, change } = useModel();
  const value = valueAt(draft.present, path);
  return (
    <label className="block">
      <span className="mb-0.5 block text-sm text-soft">{label}</span>
      <select
        className="h-9 w-full rounded-card border border-line-strong bg-sheet px-2 font-medium"
        value={String(value)}
        onChange={(event) => {
          const chosen = options.find(([one]) => String(one) === event.target.value);
          if (chosen !== undefined) {
            change({ type: "edit", path, value: chosen[0] });
          }
        }}
      >
        {options.map(([one, words]) => (
          <option key={String(one)} value={String(one)}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}

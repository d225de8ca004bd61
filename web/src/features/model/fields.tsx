import { line, several, severalWords } from "@/domain/reader";
import { shownIn, typedIn } from "@/domain/units";
import { Check } from "@/ui/check";
import { useState } from "react";
import { useFields, type Field } from "@/api/queries";
import { cataloguePath, valueAt, type Path } from "@/domain/draft";
import { Choice } from "@/ui/choice";
import { Of } from "@/ui/of";
import { NumberField } from "@/ui/number-field";
import { rangeWords } from "@/ui/range";
import { useModel } from "./model";
import { say } from "@/words/generated/model";

/** The catalogue's entry for a path; ranges and units come from the core. */
export function useField(path: string): Field | undefined {
  return useFields().data?.find((field) => field.path === path);
}

interface NamedProps {
  path: Path;
  label?: string;
  /** What it belongs to, where several fields have one name. */
  of?: string;
}

/** A number of the draft, wherever it stands. */
export function DraftNumber({ path, label, of }: NamedProps) {
  const { draft, change } = useModel();
  const field = useField(cataloguePath(path));
  if (field === undefined) {
    return null;
  }
  return (
    <NumberField
      field={field}
      label={label}
      of={of}
      value={valueAt(draft.present, path) as number}
      onValue={(value, gesture) => change({ type: "edit", path, value, gesture })}
    />
  );
}

interface ChoiceProps {
  path: Path;
  label: string;
  options: readonly (readonly [value: string | boolean | number, words: string])[];
}

/** One of a few values of the draft. */
export function DraftChoice({ path, label, options }: ChoiceProps) {
  const { draft, change } = useModel();
  return (
    <Choice
      label={label}
      value={String(valueAt(draft.present, path))}
      options={options.map(([one, words]) => [String(one), words] as const)}
      onValue={(picked) => {
        const chosen = options.find(([one]) => String(one) === picked);
        if (chosen !== undefined) {
          change({ type: "edit", path, value: chosen[0] });
        }
      }}
    />
  );
}

/** A text of the draft; handed on when the field is left, so that a word is one step of undo. */
export function DraftText({ path, label, of }: NamedProps) {
  const { draft, change } = useModel();
  const field = useField(cataloguePath(path));
  const stored = valueAt(draft.present, path) as string;
  const [typed, setTyped] = useState({ text: stored, of: stored });
  const text = typed.of === stored ? typed.text : stored;
  const length = text.trim().length;
  const problem = field !== undefined && (length < field.min || text.length > field.max);
  return (
    <label className="block min-w-0">
      <span className="mb-0.5 block text-sm text-soft">
        {label ?? field?.label}
        <Of whose={of} />
      </span>
      <input
        className={`h-9 w-full rounded-card border bg-sheet px-2.5 ${problem ? "border-2 border-grounded" : "border-line-strong"}`}
        value={text}
        aria-invalid={problem}
        onChange={(event) => setTyped({ text: event.target.value, of: stored })}
        onBlur={() => !problem && text !== stored && change({ type: "edit", path, value: text })}
      />
      {problem && (
        <span role="alert" className="text-xs font-medium text-grounded">
          {say("fields.toCharacters", { min: field.min, max: field.max })}
        </span>
      )}
    </label>
  );
}

/** A few numbers of the draft in one line. */
/** A number of the draft, wherever it stands. */
export function DraftNumbers({ path, label }: { path: Path; label: string }) {
  const { draft, change } = useModel();
  const field = useField(`${cataloguePath(path)}[]`);
  const unit = field?.unit ?? "MILLIMETRES";
  const stored = line((valueAt(draft.present, path) as number[]).map((one) => shownIn(unit, one)));
  const [typed, setTyped] = useState({ text: stored, of: stored });
  const text = typed.of === stored ? typed.text : stored;
  const values = text.trim() === "" ? [] : several(text).map((one) => typedIn(unit, one));
  const wrong = values.some(
    (one) => Number.isNaN(one) || (field !== undefined && (one < field.min || one > field.max)),
  );
  return (
    <label className="block min-w-0">
      <span className="mb-0.5 block text-sm text-soft">{label}</span>
      <input
        className={`figures h-9 w-full rounded-card border bg-sheet px-2.5 font-medium ${wrong ? "border-2 border-grounded" : "border-line-strong"}`}
        value={text}
        aria-invalid={wrong}
        onChange={(event) => setTyped({ text: event.target.value, of: stored })}
        onBlur={() => !wrong && text !== stored && change({ type: "edit", path, value: values })}
      />
      {wrong && (
        <span role="alert" className="text-xs font-medium text-grounded">
          {say("fields.numbersFrom", {
            field: field && rangeWords(field),
            several: severalWords(),
          })}
        </span>
      )}
    </label>
  );
}

/** Yes or no in the draft. */
export function DraftCheck({ path, label }: { path: Path; label: string }) {
  const { draft, change } = useModel();
  return (
    <Check
      className="text-sm"
      checked={valueAt(draft.present, path) as boolean}
      onChecked={(checked) => change({ type: "edit", path, value: checked })}
      label={label}
    />
  );
}

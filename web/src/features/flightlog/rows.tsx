import { lengthWritten, typedLength } from "@/domain/reader";
import { ToggleGroup } from "radix-ui";
import { useId, useState, type InputHTMLAttributes, type Ref } from "react";
import { Controller, type Control } from "react-hook-form";
import type { FlightReport } from "@/api/queries";
import type { DayName } from "./day-fields";
import { say } from "@/words/generated/flightlog";

interface TextProps extends InputHTMLAttributes<HTMLInputElement> {
  label: string;
  error?: string | undefined;
  ref?: Ref<HTMLInputElement>;
}

/** A labelled line of the form. */
export function TextRow({ label, error, ...input }: TextProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-0.5 block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        aria-invalid={error !== undefined}
        aria-describedby={`${id}-error`}
        className={`h-11 w-full rounded-card border bg-sheet px-3 ${error ? "border-2 border-grounded" : "border-line-strong"}`}
        {...input}
      />
      {error && (
        <p id={`${id}-error`} role="alert" className="text-sm font-medium text-grounded">
          {error}
        </p>
      )}
    </div>
  );
}

interface LengthProps {
  control: Control<FlightReport>;
  name: DayName;
  label: string;
  error?: string | undefined;
}

/** A length of the form, in the reader’s unit; what is typed stays as typed. */
export function LengthRow({ control, name, label, error }: LengthProps) {
  const [entered, setEntered] = useState<string>();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { ref, value, onChange, onBlur } }) => (
        <TextRow
          label={label}
          inputMode="decimal"
          error={error}
          ref={ref}
          name={name}
          value={entered ?? (typeof value === "number" ? lengthWritten(value) : "")}
          onBlur={onBlur}
          onChange={(event) => {
            setEntered(event.target.value);
            onChange(event.target.value.trim() === "" ? null : typedLength(event.target.value));
          }}
        />
      )}
    />
  );
}

interface ChoiceProps {
  control: Control<FlightReport>;
  name: DayName;
  label: string;
  options: readonly (readonly [value: string, words: string])[];
  error?: string | undefined;
}

/** A few plain outcomes side by side; none is chosen for the pilot. */
export function ChoiceRow({ control, name, label, options, error }: ChoiceProps) {
  return (
    <div>
      <div className="mb-0.5 text-sm text-soft">{label}</div>
      <Controller
        control={control}
        name={name}
        render={({ field }) => (
          <ToggleGroup.Root
            type="single"
            aria-label={label}
            value={String(field.value)}
            onValueChange={(value) => value !== "" && field.onChange(value)}
            className="grid auto-cols-fr grid-flow-col overflow-hidden rounded-card border border-line-strong"
          >
            {options.map(([option, words]) => (
              <ToggleGroup.Item
                key={option}
                value={option}
                className="h-12 border-l border-line-strong capitalize first:border-l-0 data-[state=on]:bg-brand data-[state=on]:font-semibold data-[state=on]:text-on-brand"
              >
                {words}
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
        )}
      />
      {error !== undefined && (
        <p role="alert" className="text-sm font-medium text-grounded">
          {say("rows.chooseOne", { label })}
        </p>
      )}
    </div>
  );
}

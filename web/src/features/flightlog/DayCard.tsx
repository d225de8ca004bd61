import type { UseFormReturn } from "react-hook-form";
import type { Field, FlightReport } from "@/api/queries";
import { Card } from "@/ui/card";
import { dayFields, dayLabel, type DayField, type DayName } from "./day-fields";
import { ChoiceRow, LengthRow, TextRow } from "./rows";
import { say } from "@/words/generated/flightlog";

interface Props {
  form: UseFormReturn<FlightReport>;
  fields: Field[];
  /** What a field may well say, by its name. */
  known: Partial<Record<DayName, string[]>>;
}

/** What a flight has besides its trims, a row for every field the core has of it. */
export function DayCard({ form, fields, known }: Props) {
  return (
    <Card title={say("flightEntryPage.theDay")}>
      <div className="space-y-3">
        {dayFields(fields).map((field) => (
          <DayRow key={field.name} form={form} field={field} known={known[field.name] ?? []} />
        ))}
      </div>
    </Card>
  );
}

interface RowProps {
  form: Props["form"];
  field: DayField;
  known: string[];
}

function DayRow({ form, field, known }: RowProps) {
  const { name, kind } = field;
  const row = { label: dayLabel(field), error: form.formState.errors[name]?.message };
  switch (kind) {
    case "CHOICE":
      return (
        <ChoiceRow
          {...row}
          control={form.control}
          name={name}
          options={field.options.map(({ value, words }) => [value, words] as const)}
        />
      );
    case "NUMBER":
      return <LengthRow {...row} control={form.control} name={name} />;
    case "DATE":
      return <TextRow {...row} {...form.register(name)} type="date" />;
    default:
      return (
        <>
          <TextRow {...row} {...form.register(name)} list={`${name}-known`} />
          <datalist id={`${name}-known`}>
            {known.map((one) => (
              <option key={one} value={one} />
            ))}
          </datalist>
        </>
      );
  }
}

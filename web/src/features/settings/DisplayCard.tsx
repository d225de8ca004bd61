import { useQueryClient } from "@tanstack/react-query";
import { movementUnit } from "@/domain/movement-unit";
import { usePreference, type Preference } from "@/domain/preference";
import { decimalMark, length, lengthUnit } from "@/domain/reader";
import { stickMode } from "@/domain/stick-mode";
import { Card } from "@/ui/card";
import { OptionRow } from "@/ui/option-row";
import { applyLook, textSize, theme } from "@/ui/theme";

interface RowProps<T extends string> {
  label: string;
  of: Preference<T>;
  words: Record<T, string>;
  /** The order they are shown in; the first of them need not be the one to begin with. */
  order?: readonly T[];
  changed?: () => void;
}

function Row<T extends string>({ label, of, words, order = of.values, changed }: RowProps<T>) {
  const [value, choose] = usePreference(of);
  return (
    <OptionRow
      label={label}
      value={value}
      options={order.map((one) => [one, words[one]] as const)}
      onValue={(picked) => {
        choose(picked);
        changed?.();
      }}
    />
  );
}

/** Units, numbers, theme, text. */
export function DisplayCard() {
  const client = useQueryClient();
  // The server's sentences are in the reader's units as well: all are asked for anew.
  const reread = () => void client.resetQueries();
  usePreference(lengthUnit);
  usePreference(decimalMark);
  return (
    <Card title="How this browser shows things">
      <p className="mb-4 text-soft">
        Kept in this browser only: a phone can have its own. You can always type numbers with a
        point or a comma. Files and the API stay in millimetres with a point.
      </p>
      <div className="grid gap-4 sm:grid-cols-2">
        <Row
          label="Lengths"
          of={lengthUnit}
          words={{ mm: "Millimetres", in: "Inches" }}
          changed={reread}
        />
        <Row
          label="Decimal mark"
          of={decimalMark}
          words={{ point: "Point: 1.5", comma: "Comma: 1,5" }}
          changed={reread}
        />
        <Row
          label="Movements are typed in"
          of={movementUnit}
          words={{ MILLIMETRES: "Lengths", DEGREES: "Degrees", PERCENT: "Percent" }}
        />
        <Row
          label="Stick mode of a new model"
          of={stickMode}
          order={["1", "2", "3", "4"]}
          words={{ 1: "1", 2: "2", 3: "3", 4: "4" }}
        />
        <Row
          label="Theme"
          of={theme}
          words={{ system: "As the system", light: "Light", dark: "Dark", sun: "Sun" }}
          changed={applyLook}
        />
        <Row
          label="Text"
          of={textSize}
          words={{ normal: "Normal", large: "Large", largest: "Largest" }}
          changed={applyLook}
        />
      </div>
      <p className="figures mt-4" data-example>
        A throw of 12.7 millimetres reads {length(12.7, 1)} here.
      </p>
    </Card>
  );
}

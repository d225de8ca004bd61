import { useQueryClient } from "@tanstack/react-query";
import { movementUnit } from "@/domain/movement-unit";
import { usePreference, type Preference } from "@/domain/preference";
import { decimalMark, length, lengthUnit } from "@/domain/reader";
import { stickMode } from "@/domain/stick-mode";
import { Card } from "@/ui/card";
import { OptionRow } from "@/ui/option-row";
import { applyLook, textSize, theme } from "@/ui/theme";
import { say } from "@/words/generated/settings";

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
    <Card title={say("displayCard.title")}>
      <p className="mb-4 text-soft">{say("displayCard.kept")}</p>
      <div className="grid gap-4 sm:grid-cols-2">
        <Row
          label={say("displayCard.lengths")}
          of={lengthUnit}
          words={{ mm: say("displayCard.millimetres"), in: say("displayCard.inches") }}
          changed={reread}
        />
        <Row
          label={say("displayCard.decimalMark")}
          of={decimalMark}
          words={{ point: say("displayCard.point"), comma: say("displayCard.comma") }}
          changed={reread}
        />
        <Row
          label={say("displayCard.movements")}
          of={movementUnit}
          words={{
            MILLIMETRES: say("displayCard.lengths"),
            DEGREES: say("displayCard.degrees"),
            PERCENT: say("displayCard.percent"),
          }}
        />
        <Row
          label={say("displayCard.stickMode")}
          of={stickMode}
          order={["1", "2", "3", "4"]}
          words={{ 1: "1", 2: "2", 3: "3", 4: "4" }}
        />
        <Row
          label={say("displayCard.theme")}
          of={theme}
          words={{
            system: say("displayCard.system"),
            light: say("displayCard.light"),
            dark: say("displayCard.dark"),
            sun: say("displayCard.sun"),
          }}
          changed={applyLook}
        />
        <Row
          label={say("displayCard.text")}
          of={textSize}
          words={{
            normal: say("displayCard.normal"),
            large: say("displayCard.large"),
            largest: say("displayCard.largest"),
          }}
          changed={applyLook}
        />
      </div>
      <p className="figures mt-4" data-example>
        {say("displayCard.example", { length: length(12.7, 1) })}
      </p>
    </Card>
  );
}

import {
  useController,
  type Control,
  type FieldPathByValue,
  type FieldValues,
} from "react-hook-form";
import { waysOf, type Way } from "@/domain/words";
import { told } from "@/words/generated/enums";
import { say } from "@/words/generated/adjustment";

export type Went = "UP" | "DOWN" | "RIGHT" | "LEFT" | "SAME";

interface Props<T extends FieldValues> {
  label: string;
  /** The surface it is about. */
  way: Way;
  /** For neither way. */
  same?: string;
  control: Control<T>;
}

/** Which way a trailing edge went: picked as a word, never typed as a sign. */
export function WentChoice<T extends { way?: Went }>({
  label,
  way,
  same = say("wentChoice.theSame"),
  control,
}: Props<T>) {
  const { field } = useController({
    control,
    name: "way" as FieldPathByValue<T, Went | undefined>,
  });
  const ways = [
    ...waysOf(way).map((one) => [one as Went, told("Way", one)] as const),
    ["SAME", same] as const,
  ];
  return (
    <fieldset className="flex h-9 items-center gap-3 text-base">
      <legend className="sr-only">{label}</legend>
      {ways.map(([went, words]) => (
        <label key={went} className="flex items-center gap-1.5">
          <input
            type="radio"
            className="size-5 accent-[var(--brand)]"
            name={field.name}
            checked={field.value === went}
            onChange={() => field.onChange(went)}
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}

import { RadioGroup } from "radix-ui";

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [value: T, words: string])[];
  onValue: (value: T) => void;
}

/** One of a few values, all in view. */
export function OptionRow<T extends string>({ label, value, options, onValue }: Props<T>) {
  return (
    <div>
      <div className="mb-1 text-sm text-soft" aria-hidden>
        {label}
      </div>
      <RadioGroup.Root
        aria-label={label}
        value={value}
        onValueChange={(picked) => onValue(picked as T)}
        className="flex flex-wrap gap-2"
      >
        {options.map(([one, words]) => (
          <RadioGroup.Item
            key={one}
            value={one}
            className="min-h-12 min-w-12 rounded-card border border-line-strong bg-sheet px-4 font-medium hover:bg-inset data-[state=checked]:border-brand data-[state=checked]:bg-brand data-[state=checked]:text-on-brand"
          >
            {words}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}

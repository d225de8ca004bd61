import { Check, ChevronDown } from "lucide-react";
import { Select } from "radix-ui";
import { useId } from "react";

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [value: T, words: string])[];
  onValue: (value: T) => void;
}

/** The list itself knows no empty value; ours do, for "none". */
const MARK = "=";

/** One of a few values. */
export function Choice<T extends string>({ label, value, options, onValue }: Props<T>) {
  const id = useId();
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="mb-0.5 block text-sm text-soft">
        {label}
      </label>
      <Select.Root
        value={`${MARK}${value}`}
        onValueChange={(picked) => onValue(picked.slice(MARK.length) as T)}
      >
        <Select.Trigger
          id={id}
          data-value={value}
          className="flex h-9 w-full items-center justify-between gap-2 rounded-card border border-line-strong bg-sheet px-2 text-left font-medium"
        >
          <span className="truncate">
            <Select.Value />
          </span>
          <Select.Icon>
            <ChevronDown aria-hidden size={16} />
          </Select.Icon>
        </Select.Trigger>
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={2}
            className="z-50 max-h-[var(--radix-select-content-available-height)] min-w-[var(--radix-select-trigger-width)] overflow-hidden rounded-card border border-line-strong bg-sheet shadow-lg"
          >
            <Select.Viewport className="p-1">
              {options.map(([one, words]) => (
                <Select.Item
                  key={one}
                  value={`${MARK}${one}`}
                  data-option={one}
                  className="flex cursor-pointer items-center gap-2 rounded-card px-2 py-1.5 outline-none data-[highlighted]:bg-inset data-[state=checked]:font-semibold"
                >
                  <span className="w-4">
                    <Select.ItemIndicator>
                      <Check aria-hidden size={14} />
                    </Select.ItemIndicator>
                  </span>
                  <Select.ItemText>{words}</Select.ItemText>
                </Select.Item>
              ))}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
    </div>
  );
}

import { Tabs } from "radix-ui";
import type { ReactNode } from "react";

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly (readonly [value: T, words: string, content: ReactNode])[];
  onValue: (value: T) => void;
}

/** Two or three ways of looking at the same thing, one at a time. */
export function SwitchTabs<T extends string>({ label, value, options, onValue }: Props<T>) {
  return (
    <Tabs.Root value={value} onValueChange={(picked) => onValue(picked as T)} className="space-y-3">
      <Tabs.List aria-label={label} className="flex gap-2">
        {options.map(([one, words]) => (
          <Tabs.Trigger
            key={one}
            value={one}
            className="min-h-9 rounded-card border border-line-strong bg-sheet px-3.5 font-medium hover:bg-inset data-[state=active]:border-brand data-[state=active]:bg-brand data-[state=active]:text-on-brand"
          >
            {words}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {options.map(([one, , content]) => (
        <Tabs.Content key={one} value={one}>
          {content}
        </Tabs.Content>
      ))}
    </Tabs.Root>
  );
}

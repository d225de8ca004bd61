import { Check as Tick } from "lucide-react";
import { Checkbox } from "radix-ui";
import { useId, type ReactNode } from "react";

interface Props {
  checked: boolean;
  onChecked: (checked: boolean) => void;
  /** What stands beside it; a hidden label where the place says it already. */
  label: ReactNode;
  hidden?: boolean;
  disabled?: boolean;
  className?: string;
}

/** Yes or no. */
export function Check({ checked, onChecked, label, hidden, disabled, className = "" }: Props) {
  const id = useId();
  return (
    <div className={`flex items-center gap-2 ${className}`}>
      <Checkbox.Root
        id={id}
        checked={checked}
        disabled={disabled}
        onCheckedChange={(state) => onChecked(state === true)}
        aria-label={hidden && typeof label === "string" ? label : undefined}
        className="group grid size-[24px] shrink-0 place-items-center disabled:opacity-45 print:size-4"
      >
        <span className="grid size-[19px] place-items-center rounded-[3px] border border-line-strong bg-sheet group-data-[state=checked]:border-brand group-data-[state=checked]:bg-brand print:size-3.5">
          <Checkbox.Indicator>
            <Tick aria-hidden size={15} strokeWidth={3} className="text-on-brand" />
          </Checkbox.Indicator>
        </span>
      </Checkbox.Root>
      {!hidden && (
        <label htmlFor={id} className="cursor-pointer">
          {label}
        </label>
      )}
    </div>
  );
}

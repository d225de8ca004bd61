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
        className="relative grid size-5 shrink-0 place-items-center rounded-[3px] border border-line-strong bg-sheet before:absolute before:-inset-1 before:content-[''] data-[state=checked]:border-brand data-[state=checked]:bg-brand disabled:opacity-45"
      >
        <Checkbox.Indicator>
          <Tick aria-hidden size={15} strokeWidth={3} className="text-on-brand" />
        </Checkbox.Indicator>
      </Checkbox.Root>
      {!hidden && (
        <label htmlFor={id} className="cursor-pointer">
          {label}
        </label>
      )}
    </div>
  );
}

import { Tooltip } from "radix-ui";
import { useState, type ReactNode } from "react";

interface Props {
  /** Nothing comes up without words; what is inside stays the same element either way. */
  words: string | undefined;
  children: ReactNode;
}

/** Words that come up beside something when it is pointed at or has the focus. */
export function Tip({ words, children }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Tooltip.Provider delayDuration={250}>
      <Tooltip.Root open={open && words !== undefined} onOpenChange={setOpen}>
        <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={4}
            className="z-50 max-w-72 rounded-card bg-ink px-2.5 py-1.5 text-sm text-sheet"
          >
            {words}
            <Tooltip.Arrow className="fill-ink" />
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}

import { ChevronRight } from "lucide-react";
import { Accordion } from "radix-ui";
import type { ReactNode } from "react";

interface Props {
  title: ReactNode;
  children: ReactNode;
  open?: boolean;
  className?: string;
  /** Told when it is opened or shut. */
  onOpen?: (open: boolean) => void;
}

/** A part of a page that is opened when it is wanted. */
export function Fold({ title, children, open = false, className = "", onOpen }: Props) {
  return (
    <Accordion.Root
      type="single"
      collapsible
      defaultValue={open ? "it" : ""}
      onValueChange={(value) => onOpen?.(value === "it")}
      className={className}
    >
      <Accordion.Item value="it">
        <Accordion.Header asChild>
          <div>
            <Accordion.Trigger className="group flex w-full items-center gap-1 text-left">
              <ChevronRight
                aria-hidden
                size={15}
                className="shrink-0 transition-transform group-data-[state=open]:rotate-90"
              />
              {title}
            </Accordion.Trigger>
          </div>
        </Accordion.Header>
        <Accordion.Content className="pt-1">{children}</Accordion.Content>
      </Accordion.Item>
    </Accordion.Root>
  );
}

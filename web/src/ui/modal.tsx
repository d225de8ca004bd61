import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import { useRef, type ReactNode } from "react";
import { focusMain } from "./focus";
import { say } from "@/words/generated/ui";

interface Props {
  open: boolean;
  onOpen: (open: boolean) => void;
  title: string;
  description: string;
  /** For what needs room. */
  wide?: boolean;
  children: ReactNode;
}

/** The focus goes back to what opened the dialog, or to the page where that is gone. */
function giveBack(opener: Element | null): void {
  if (opener instanceof HTMLElement && opener.isConnected && opener !== document.body) {
    opener.focus();
  } else {
    focusMain();
  }
}

/** Every dialog of the page. */
export function Modal({ open, onOpen, title, description, wide = false, children }: Props) {
  const opener = useRef<Element>(null);
  return (
    <Dialog.Root open={open} onOpenChange={onOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/45" />
        <Dialog.Content
          onOpenAutoFocus={() => {
            opener.current = document.activeElement;
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            giveBack(opener.current);
          }}
          className={`fixed top-1/2 left-1/2 z-50 max-h-[90dvh] ${wide ? "w-[min(62rem,96vw)]" : "w-[min(34rem,94vw)]"} -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-card border border-line-strong bg-sheet p-6`}
        >
          <Dialog.Title className="mb-1 text-xl font-semibold">{title}</Dialog.Title>
          <Dialog.Description className="mb-4 text-soft">{description}</Dialog.Description>
          {children}
          <Dialog.Close
            aria-label={say("modal.close")}
            className="absolute top-4 right-4 grid size-9 place-items-center rounded-card hover:bg-inset"
          >
            <X aria-hidden size={18} />
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

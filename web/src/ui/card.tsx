import type { ReactNode } from "react";
import { say } from "@/words/generated/ui";

interface Props {
  title?: ReactNode;
  aside?: ReactNode;
  children: ReactNode;
  className?: string;
  label?: string;
  /** Beside other things, where room is short. */
  tight?: boolean;
}

/** A sheet of paper on the mat. */
export function Card({ title, aside, children, className = "", label, tight = false }: Props) {
  return (
    <section
      aria-label={label}
      className={`rounded-card border border-line bg-sheet ${tight ? "px-3 py-2" : "p-4"} ${className}`}
    >
      {(title !== undefined || aside !== undefined) && (
        <header className="mb-3 flex flex-wrap items-baseline justify-between gap-2">
          <h2 className="text-base">{title}</h2>
          {aside}
        </header>
      )}
      {children}
    </section>
  );
}

/** What waits: a workshop tag tied to the model. */
export function WaitingTag({ children }: { children: ReactNode }) {
  return (
    <span className="inline-flex items-center gap-2 rounded-r-card rounded-l-full bg-tag py-1 pr-3 pl-2 text-sm font-semibold text-on-tag">
      <span
        aria-hidden
        className="size-2.5 shrink-0 rounded-full border-2 border-on-tag bg-sheet"
      />
      {children}
    </span>
  );
}

/** Where the work can hurt: shown in place, never as a dialog to be clicked away. */
export function Caution({ children }: { children: ReactNode }) {
  return (
    <p className="border-l-4 border-grounded bg-inset px-4 py-3 font-medium" role="note">
      <strong className="text-grounded">{say("card.caution")}</strong> {children}
    </p>
  );
}

/** The next step where there is nothing to show yet. */
export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Card className="mx-auto max-w-xl py-10 text-center">
      <h2 className="mb-2 text-xl">{title}</h2>
      <div className="space-y-4 text-soft">{children}</div>
    </Card>
  );
}

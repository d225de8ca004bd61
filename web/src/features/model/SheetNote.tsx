import type { ReactNode } from "react";
import { day, today } from "@/domain/words";
import { useModel } from "./model";

/** Under the title of every sheet: which revision it tells of, of which day, and whose word counts. */
export function SheetNote({ children }: { children?: ReactNode }) {
  const { standing } = useModel();
  return (
    <p className="mb-2 text-sm text-soft" data-sheet-note>
      {children} Revision {standing.newest.number} of {day(standing.newest.createdAt)}; printed{" "}
      {day(today())}. The maker’s manual comes before this sheet.
    </p>
  );
}

import type { ReactNode } from "react";
import { day, today } from "@/domain/words";
import { useModel } from "./model";
import { Say } from "@/words/generated/model";

/** Under the title of every sheet: which revision it tells of, of which day, and whose word counts. */
export function SheetNote({ children }: { children?: ReactNode }) {
  const { standing } = useModel();
  return (
    <p className="mb-2 text-sm text-soft" data-sheet-note>
      <Say
        id="sheetNote.printed"
        values={{
          children,
          number: standing.newest.number,
          day: day(standing.newest.createdAt),
          dayOther: day(today()),
        }}
      />
    </p>
  );
}

import { Download } from "lucide-react";
import { useRevisions } from "@/api/queries";
import { day } from "@/domain/words";
import { buttonClass } from "@/ui/button";
import { Card } from "@/ui/card";
import { Failure, Waiting } from "@/ui/message";
import { useModel } from "./model";

/** Every saved state of the setup, newest first; each can be saved as a file. */
export function RevisionsPage() {
  const { standing } = useModel();
  const revisions = useRevisions(standing.id);
  if (revisions.data === undefined) {
    return revisions.isError ? <Failure error={revisions.error} /> : <Waiting what="revisions" />;
  }
  return (
    <Card title="Revisions" className="mx-auto max-w-3xl">
      <ol>
        {revisions.data.map((one) => (
          <li
            key={one.number}
            className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-3 first:border-0"
          >
            <span className="figures grid size-9 place-items-center rounded-full bg-inset font-bold">
              {one.number}
            </span>
            <div className="min-w-0 flex-1">
              <p className="font-medium">{one.reason}</p>
              <p className="text-sm text-soft">
                {day(one.createdAt)}
                {one.fromAdjustment && ", from an adjustment: trims at zero"}
              </p>
            </div>
            <a
              className={buttonClass("plain")}
              href={`/api/aircraft/${standing.id}/revisions/${one.number}/file`}
            >
              <Download aria-hidden size={16} /> Save as a file
            </a>
          </li>
        ))}
      </ol>
    </Card>
  );
}

import type { Story } from "@/api/history";
import { CONTROL_WORDS, keyOf, type Control } from "@/domain/words";
import { Card } from "@/ui/card";
import { say } from "@/words/generated/adjustment";

/** What the flights since the last adjustment say of it, against the prediction. */
export function ConfirmationCard({ story }: { story: Story }) {
  if (story.confirmation.length === 0) {
    return null;
  }
  return (
    <Card title={say("confirmationCard.confirmed")}>
      <ul className="space-y-1" data-confirmation>
        {story.confirmation.map((one) => (
          <li key={one.phase + one.control}>
            <strong className={one.done ? "text-done" : "text-grounded"}>
              {one.phaseName}, {CONTROL_WORDS[keyOf(one.control as Control)]}:
            </strong>{" "}
            {one.words}
          </li>
        ))}
      </ul>
    </Card>
  );
}

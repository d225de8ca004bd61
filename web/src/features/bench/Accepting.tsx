import { useForm } from "react-hook-form";
import { useModel } from "@/features/model/model";
import { Button } from "@/ui/button";
import { Fold } from "@/ui/fold";
import { Form } from "@/ui/form";
import { say } from "@/words/generated/bench";

const NOTED = ["notebook", "accepted"] as const;

interface AcceptedProps {
  rule: string;
  subject: string;
}

interface AcceptProps extends AcceptedProps {
  /** What is accepted, in a word. */
  what: string;
}

/** A reason for which the pilot lives with a finding or a hazard; kept with the setup. */
export function Accept({ rule, subject, what }: AcceptProps) {
  const { draft, change } = useModel();
  const form = useForm({ defaultValues: { reason: "" } });
  const accept = ({ reason }: { reason: string }) =>
    change({
      type: "edit",
      path: NOTED,
      value: [...draft.present.notebook.accepted, { rule, subject, reason: reason.trim() }],
    });
  return (
    <Fold className="mt-0.5 text-soft" title={<span>{say("accepting.title")}</span>}>
      <Form form={form} className="flex gap-1" send={accept}>
        <input
          aria-label={say("accepting.reasonAsked", { what })}
          placeholder={say("accepting.why")}
          required
          minLength={3}
          maxLength={300}
          className="h-8 min-w-0 flex-1 rounded-card border border-line-strong bg-sheet px-2 text-ink"
          {...form.register("reason")}
        />
        <Button type="submit" className="!min-h-8 px-2 text-sm">
          {say("accepting.accept")}
        </Button>
      </Form>
    </Fold>
  );
}

/** Takes an acceptance back. */
export function Reopen({ rule, subject }: AcceptedProps) {
  const { draft, change } = useModel();
  const noted = draft.present.notebook.accepted;
  const reopen = () =>
    change({
      type: "edit",
      path: NOTED,
      value: noted.filter((one) => one.rule !== rule || one.subject !== subject),
    });
  return (
    <button type="button" className="underline" onClick={reopen}>
      {say("accepting.reopen")}
    </button>
  );
}

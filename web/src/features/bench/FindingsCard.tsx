import { MendButton } from "@/features/model/edits";
import { Fold } from "@/ui/fold";
import { TriangleAlert } from "lucide-react";
import { useState } from "react";
import { useBench, useBenchStore, type Finding } from "./store";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { useModel } from "@/features/model/model";

/** What is wrong with the rig as it is being edited, why it matters, and the change that mends it. */
export function FindingsCard() {
  const all = useBench((state) => state.findings);
  const findings = all.filter((one) => one.acceptedBecause === "");
  const accepted = all.filter((one) => one.acceptedBecause !== "");
  if (findings.length === 0) {
    return (
      <Card className="!p-3 text-sm">
        <span className="font-semibold text-done">No findings.</span>{" "}
        <span className="text-soft">The rules see nothing wrong with this rig.</span>
        <AcceptedList accepted={accepted} />
      </Card>
    );
  }
  return (
    <Card
      title={`${findings.length} ${findings.length === 1 ? "finding" : "findings"}`}
      className="!p-3"
    >
      <ul className="space-y-3">
        {findings.map((one) => (
          <FindingItem key={one.rule + one.surface + one.title} one={one} />
        ))}
      </ul>
      <AcceptedList accepted={accepted} />
    </Card>
  );
}

const NOTED = ["notebook", "accepted"] as const;

function AcceptedList({ accepted }: { accepted: Finding[] }) {
  const { draft, change } = useModel();
  const noted = draft.present.notebook.accepted;
  const reopen = (finding: Finding) =>
    change({
      type: "edit",
      path: NOTED,
      value: noted.filter((one) => one.rule !== finding.rule || one.subject !== finding.surface),
    });
  return accepted.length === 0 ? null : (
    <ul className="mt-2 space-y-1 border-t border-line pt-2 text-sm text-soft" data-accepted>
      {accepted.map((one) => (
        <li key={one.rule + one.surface + one.title}>
          Accepted: {one.title}, because “{one.acceptedBecause}”.{" "}
          <button type="button" className="underline" onClick={() => reopen(one)}>
            Open it again
          </button>
        </li>
      ))}
    </ul>
  );
}

function Accept({ one }: { one: Finding }) {
  const { draft, change } = useModel();
  const [reason, setReason] = useState("");
  const accept = () =>
    change({
      type: "edit",
      path: NOTED,
      value: [
        ...draft.present.notebook.accepted,
        { rule: one.rule, subject: one.surface, reason: reason.trim() },
      ],
    });
  return (
    <Fold className="mt-0.5 pl-6 text-soft" title={<span>Live with it</span>}>
      <form
        className="flex gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          accept();
        }}
      >
        <input
          aria-label="Why you accept this finding"
          placeholder="Why?"
          required
          minLength={3}
          maxLength={300}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          className="h-8 min-w-0 flex-1 rounded-card border border-line-strong bg-sheet px-2 text-ink"
        />
        <Button type="submit" className="!min-h-8 px-2 text-sm">
          Accept
        </Button>
      </form>
    </Fold>
  );
}

function FindingItem({ one }: { one: Finding }) {
  const store = useBenchStore();
  const grounds = one.severity === "GROUNDS";
  return (
    <li
      className="border-t border-line pt-2 text-sm first:border-0 first:pt-0"
      data-finding={one.rule}
    >
      <button
        type="button"
        className="flex w-full items-start gap-2 text-left font-semibold underline-offset-2 hover:underline"
        onClick={() => store.select(one.surface)}
      >
        <TriangleAlert
          aria-hidden
          size={16}
          className={`mt-0.5 shrink-0 ${grounds ? "text-grounded" : "text-minus"}`}
        />
        <span>
          {one.title}
          {grounds && <span className="text-grounded"> (before it flies)</span>}
        </span>
      </button>
      <Fold className="mt-0.5 pl-6 text-soft" title={<span>Why it matters</span>}>
        <p>{one.why}</p>
      </Fold>
      {one.mends.map((mend) => (
        <MendButton
          key={mend.words}
          className="mt-1 ml-6 w-[calc(100%-1.5rem)] py-1 text-left text-sm"
          edits={mend.edits}
        >
          {mend.words}
        </MendButton>
      ))}
      <Accept one={one} />
    </li>
  );
}

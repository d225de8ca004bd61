import { Fold } from "@/ui/fold";
import { TriangleAlert } from "lucide-react";
import { Accept, Reopen } from "./Accepting";
import { MendsOf } from "./MendsOf";
import { useBench, useBenchStore, type Finding } from "./store";
import { Card } from "@/ui/card";
import { say } from "@/words/generated/bench";

/** What is wrong with the rig as it is being edited, why it matters, and the change that mends it. */
export function FindingsCard() {
  const all = useBench((state) => state.findings);
  const findings = all.filter((one) => one.acceptedBecause === "");
  const accepted = all.filter((one) => one.acceptedBecause !== "");
  if (findings.length === 0) {
    return (
      <Card className="!p-3 text-sm">
        <span className="font-semibold">{say("findingsCard.nothingFound")}</span>
        <AcceptedList accepted={accepted} />
      </Card>
    );
  }
  return (
    <Card title={say("findingsCard.findings", { count: findings.length })} className="!p-3">
      <ul className="space-y-3">
        {findings.map((one) => (
          <FindingItem key={one.rule + one.surface + one.title} one={one} />
        ))}
      </ul>
      <AcceptedList accepted={accepted} />
    </Card>
  );
}

function AcceptedList({ accepted }: { accepted: Finding[] }) {
  return accepted.length === 0 ? null : (
    <ul className="mt-2 space-y-1 border-t border-line pt-2 text-sm text-soft" data-accepted>
      {accepted.map((one) => (
        <li key={one.rule + one.surface + one.title}>
          {say("findingsCard.acceptedBecause", {
            title: one.title,
            acceptedBecause: one.acceptedBecause,
          })}{" "}
          <Reopen rule={one.rule} subject={one.surface} />
        </li>
      ))}
    </ul>
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
          {grounds && <span className="text-grounded"> {say("findingsCard.beforeItFlies")}</span>}
        </span>
      </button>
      <Fold className="mt-0.5 pl-6 text-soft" title={<span>{say("findingsCard.whyMatters")}</span>}>
        <p>{one.why}</p>
      </Fold>
      <div className="pl-6">
        <MendsOf id={one.rule} subject={one.surface} />
        <Accept rule={one.rule} subject={one.surface} what={say("findingsCard.finding")} />
      </div>
    </li>
  );
}

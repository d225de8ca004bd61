import { TriangleAlert } from "lucide-react";
import { useBench, useBenchStore, type Finding } from "@/features/bench/store";
import { Button } from "@/ui/button";
import { Card } from "@/ui/card";
import { useModel } from "./model";

/** What is wrong with the rig as it is being edited, why it matters, and the change that mends it. */
export function FindingsCard() {
  const findings = useBench((state) => state.findings);
  if (findings.length === 0) {
    return (
      <Card className="!p-3 text-sm">
        <span className="font-semibold text-done">No findings.</span>{" "}
        <span className="text-soft">The rules see nothing wrong with this rig.</span>
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
    </Card>
  );
}

function FindingItem({ one }: { one: Finding }) {
  const store = useBenchStore();
  const { change } = useModel();
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
      <details className="mt-0.5 pl-6 text-soft">
        <summary className="cursor-pointer">Why it matters</summary>
        <p>{one.why}</p>
      </details>
      {one.mends.map((mend) => (
        <Button
          key={mend.words}
          className="mt-1 ml-6 w-[calc(100%-1.5rem)] py-1 text-left text-sm"
          onClick={() => change({ type: "mend", edits: mend.edits })}
        >
          {mend.words}
        </Button>
      ))}
    </li>
  );
}

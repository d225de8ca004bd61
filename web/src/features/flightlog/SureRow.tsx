import type { FlightReport } from "@/api/queries";
import { Button } from "@/ui/button";
import { say } from "@/words/generated/flightlog";

const SURE = [
  ["SURE", say("sureRow.sure")],
  ["FAIRLY", say("sureRow.fairly")],
  ["NOT", say("sureRow.notSure")],
] as const;

interface Props {
  value: FlightReport["sure"];
  onValue: (value: FlightReport["sure"]) => void;
  /** Whether one must be chosen and none was. */
  missing: boolean;
}

/** How sure the pilot is; nothing is chosen for him. */
export function SureRow({ value, onValue, missing }: Props) {
  return (
    <div
      className="flex flex-wrap items-center gap-2"
      role="group"
      aria-label={say("sureRow.howSure")}
    >
      {SURE.map(([one, word]) => (
        <Button
          key={one}
          className="min-h-12"
          look={value === one ? "main" : "plain"}
          aria-pressed={value === one}
          onClick={() => onValue(one)}
        >
          {word}
        </Button>
      ))}
      {missing && (
        <span role="alert" className="text-sm font-medium text-grounded">
          {say("sureRow.chooseOne")}
        </span>
      )}
    </div>
  );
}

import { percent } from "@/domain/words";
import { Progress } from "radix-ui";

interface Props {
  label: string;
  done: number;
  /** What done is a part of. */
  of?: number;
  /** Whether the label is only read out. */
  hidden?: boolean;
}

/** How much of something long is done. */
export function PartDone({ label, done, of = 1, hidden = false }: Props) {
  return (
    <div className="flex flex-1 items-center gap-2 text-soft">
      {!hidden && <span>{label}</span>}
      <Progress.Root
        value={percent(done / of)}
        aria-label={label}
        className="h-2.5 flex-1 overflow-hidden rounded-full bg-line"
      >
        <Progress.Indicator
          className="h-full bg-brand"
          style={{ width: `${percent(done / of)}%` }}
        />
      </Progress.Root>
    </div>
  );
}

import { Progress } from "radix-ui";

interface Props {
  label: string;
  /** 0 to 1. */
  part: number;
  /** Whether the label is only read out. */
  hidden?: boolean;
}

/** How much of something long is done. */
export function PartDone({ label, part, hidden = false }: Props) {
  return (
    <div className="flex flex-1 items-center gap-2 text-soft">
      {!hidden && <span>{label}</span>}
      <Progress.Root
        value={Math.round(100 * part)}
        aria-label={label}
        className="h-2.5 flex-1 overflow-hidden rounded-full bg-line"
      >
        <Progress.Indicator className="h-full bg-brand" style={{ width: `${100 * part}%` }} />
      </Progress.Root>
    </div>
  );
}

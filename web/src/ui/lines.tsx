export interface Line {
  name: string;
  xs: number[];
  ys: number[];
}

interface Props {
  lines: Line[];
  label: string;
  xLabel: string;
  yLabel: string;
  /** Stretches of x to be marked. */
  marks?: { from: number; to: number }[];
  height?: number;
  /** Where something is now. */
  cursor?: number;
}

const W = 640;
const PAD = { left: 44, right: 12, top: 12, bottom: 30 };
const DASHES = ["", "8 4", "2 4", "10 3 2 3", "14 6", "4 2"];
const INKS = ["var(--ink)", "var(--brand)", "var(--minus)", "var(--plus)", "var(--soft)"];

/** Lines on millimetre paper, told apart by stroke and name, not by colour alone. */
export function Lines({ lines, label, xLabel, yLabel, marks = [], height = 240, cursor }: Props) {
  const xs = lines.flatMap((one) => one.xs);
  const ys = lines.flatMap((one) => one.ys);
  const [x0, x1] = [Math.min(...xs), Math.max(...xs)];
  const top = Math.max(1, ...ys) * 1.06;
  const low = Math.min(-1, ...ys) * 1.06;
  const x = (v: number) => PAD.left + ((v - x0) / (x1 - x0 || 1)) * (W - PAD.left - PAD.right);
  const y = (v: number) => PAD.top + ((top - v) / (top - low)) * (height - PAD.top - PAD.bottom);
  return (
    <figure>
      <svg
        viewBox={`0 0 ${W} ${height}`}
        role="img"
        aria-label={label}
        className="mm-paper block w-full rounded-card border border-line"
      >
        {marks.map((mark) => (
          <rect
            key={mark.from}
            x={x(mark.from)}
            width={Math.max(2, x(mark.to) - x(mark.from))}
            y={PAD.top}
            height={height - PAD.top - PAD.bottom}
            fill="var(--tag)"
            opacity={0.35}
            data-mark
          />
        ))}
        <path
          d={`M${x(x0)} ${y(0)}H${x(x1)}${x0 < 0 ? `M${x(0)} ${y(top)}V${y(low)}` : ""}`}
          stroke="var(--line-strong)"
        />
        {[top / 1.06, low / 1.06].map((value) => (
          <text
            key={value}
            x={PAD.left - 5}
            y={y(value) + 4}
            fontSize={12}
            textAnchor="end"
            fill="var(--soft)"
            className="figures"
          >
            {value.toFixed(Math.abs(value) < 10 ? 1 : 0).replace("-", "−")}
          </text>
        ))}
        <text x={(x0 < 0 ? x(0) : PAD.left) + 6} y={PAD.top + 12} fontSize={12} fill="var(--soft)">
          {yLabel}
        </text>
        <text x={W - PAD.right} y={height - 9} fontSize={12} textAnchor="end" fill="var(--soft)">
          {xLabel}
        </text>
        {lines.map((line, i) => (
          <polyline
            key={line.name}
            points={line.xs.map((at, k) => `${x(at)},${y(line.ys[k] ?? 0)}`).join(" ")}
            fill="none"
            stroke={INKS[i % INKS.length]}
            strokeWidth={2.5}
            strokeDasharray={DASHES[i % DASHES.length]}
          />
        ))}
        {cursor !== undefined && (
          <path d={`M${x(cursor)} ${PAD.top}V${height - PAD.bottom}`} stroke="var(--grounded)" />
        )}
      </svg>
      <figcaption className="mt-1 flex flex-wrap gap-x-4 text-sm">
        {lines.map((line, i) => (
          <span key={line.name} className="flex items-center gap-1.5">
            <svg width="28" height="8" aria-hidden>
              <path
                d="M0 4H28"
                stroke={INKS[i % INKS.length]}
                strokeWidth={2.5}
                strokeDasharray={DASHES[i % DASHES.length]}
              />
            </svg>
            {line.name}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}

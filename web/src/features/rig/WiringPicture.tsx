import { lengthEntered } from "@/domain/reader";
import type { WiringSheet } from "@/api/rig";
import { say } from "@/words/generated/rig";

const ROW = 40;
const TOP = 26;
const COLUMNS = { socket: 40, lead: 130, device: 360, moves: 560 };
const WIDTH = 760;

/** The receiver on the left, every lead drawn from its socket to what it drives and moves. */
export function WiringPicture({ sheet }: { sheet: WiringSheet }) {
  const rows = sheet.rows;
  const sockets = [...new Set(rows.map((row) => row.socket))];
  const y = (index: number) => TOP + index * ROW + ROW / 2;
  const socketY = (socket: number) => {
    const on = rows.flatMap((row, i) => (row.socket === socket ? [i] : []));
    return on.reduce((sum, i) => sum + y(i), 0) / on.length;
  };
  const height = TOP + rows.length * ROW + 10;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="mm-paper block w-full rounded-card border border-line"
      role="img"
      aria-label={say("wiringPicture.picture", {
        rows: rows.length,
        sockets: sockets.length,
      })}
      fontSize={13}
    >
      <g fill="var(--soft)" fontSize={11.5}>
        <text x={8} y={16}>
          {say("wiringPicture.socket")}
        </text>
        <text x={COLUMNS.lead} y={16}>
          {say("wiringPicture.channel")}
        </text>
        <text x={COLUMNS.device} y={16}>
          {say("wiringPicture.leadTo")}
        </text>
        <text x={COLUMNS.moves} y={16}>
          {say("wiringPicture.moves")}
        </text>
      </g>
      <rect
        x={6}
        y={TOP}
        width={62}
        height={rows.length * ROW}
        rx={6}
        fill="var(--inset)"
        stroke="var(--line-strong)"
      />
      {sockets.map((socket) => (
        <g key={socket}>
          <rect
            x={22}
            y={socketY(socket) - 11}
            width={30}
            height={22}
            rx={3}
            fill={socket < 0 ? "var(--grounded)" : "var(--ink)"}
          />
          <text
            x={37}
            y={socketY(socket) + 5}
            textAnchor="middle"
            fontWeight={700}
            fill="var(--sheet)"
          >
            {socket < 0 ? say("wiringPicture.none") : socket}
          </text>
        </g>
      ))}
      {rows.map((row, i) => (
        <g key={row.device}>
          <path
            d={`M54 ${socketY(row.socket)} C 90 ${socketY(row.socket)} 90 ${y(i)} ${COLUMNS.lead - 6} ${y(i)} H ${COLUMNS.device - 8}`}
            fill="none"
            stroke={row.socket < 0 ? "var(--grounded)" : "var(--line-strong)"}
            strokeWidth={row.splitter === "" ? 2 : 3}
            strokeDasharray={row.socket < 0 ? "5 4" : undefined}
          />
          <Label x={COLUMNS.lead} y={y(i) - 5} text={`${row.channel}  ${row.channelName}`} bold />
          <Label x={COLUMNS.lead} y={y(i) + 14} text={leadWords(row)} small />
          <Label x={COLUMNS.device} y={y(i) + 5} text={row.device} />
          <Label x={COLUMNS.moves} y={y(i) + 5} text={row.moves || "—"} />
        </g>
      ))}
    </svg>
  );
}

interface LabelProps {
  x: number;
  y: number;
  text: string;
  bold?: boolean;
  small?: boolean;
}

function Label({ x, y, text, bold = false, small = false }: LabelProps) {
  return (
    <text
      x={x}
      y={y}
      fontWeight={bold ? 680 : 500}
      fontSize={small ? 10.5 : 13}
      fill={small ? "var(--soft)" : "var(--ink)"}
      stroke="var(--sheet)"
      strokeWidth={4}
      paintOrder="stroke"
      className="figures"
    >
      {text}
    </text>
  );
}

/** What the lead is made of, in words. */
export function leadWords(row: WiringSheet["rows"][number]): string {
  const parts = [
    row.splitter === "" ? "" : say("wiringPicture.yLead"),
    row.extensionMm > 0
      ? say("wiringPicture.extension", { lengthEntered: lengthEntered(row.extensionMm) })
      : "",
    row.reverser ? say("wiringPicture.reverser") : "",
    row.through === "" ? "" : say("wiringPicture.through", { through: row.through }),
  ].filter((part) => part !== "");
  return parts.length === 0 ? say("wiringPicture.ownLead") : parts.join(", ");
}

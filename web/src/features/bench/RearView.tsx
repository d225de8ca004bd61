import { written } from "@/domain/reader";
import { corners, extent, surfaceShapes, type SurfaceShape, type Vec } from "@/domain/drawing";
import { travel, travelWords } from "@/domain/words";
import { placed, rowsOf, type Placed } from "./labels";
import { colour, SIDE_MARGIN, type View } from "./view";
import { say } from "@/words/generated/bench";

/** From behind, travels are drawn larger than the model, or they could not be seen. */
const TRAVEL_SCALE = 2.5;

const WHEELS: ReadonlySet<string> = new Set(["NOSE_WHEEL", "TAIL_WHEEL"]);

const FONT = 14;
const LINE = 19;
const TITLE = 24;

/** From behind: right is right, and trailing edges stand above or below their panel. */
export function RearView({ width, tallest, setup, travelMm, selected, onSelect }: View) {
  const { half, top, bottom } = extent(setup);
  const scale = Math.min(
    (width - 2 * SIDE_MARGIN) / (2 * half),
    (tallest ?? Infinity) / (top - bottom),
  );
  const shapes = surfaceShapes(setup);
  const labels = placed(
    shapes.map((shape, i) => ({
      id: shape.surface.id,
      text: wordsOf(shape, travelMm[i] ?? 0),
      x: width / 2 + ((shape.edge[0].right + shape.edge[1].right) / 2) * scale,
      below: shape.surface.side === "CENTRE" && !shape.surface.sideways,
    })),
    width,
    FONT,
  );
  const above = TITLE + rowsOf(labels, false) * LINE;
  const head = above + 22;
  const foot = head + (top - bottom) * scale + 16;
  const height = foot + rowsOf(labels, true) * LINE + 6;
  const at = (point: Vec, by = 0, normal?: Vec) => ({
    x: width / 2 + (point.right + (normal?.right ?? 0) * by) * scale,
    y: head + (top - point.up - (normal?.up ?? 0) * by) * scale,
  });
  const widest = [...setup.airframe.fuselage].sort((a, b) => b.halfWidthMm - a.halfWidthMm)[0];
  const lineAt = (label: Placed) =>
    label.below ? foot + label.row * LINE + FONT : above - label.row * LINE - 5;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full"
      role="group"
      aria-label={say("rearView.fromBehind")}
    >
      <text x={12} y={17} fontSize={13} fontWeight={600} fill="var(--ink)">
        {say("rearView.scale", { scale: written(TRAVEL_SCALE) })}
      </text>
      {setup.airframe.panels.map((panel) => {
        const [root, tip] = corners(panel) as [Vec, Vec];
        const [a, b] = [at(root), at(tip)];
        return (
          <line
            key={panel.id}
            x1={a.x}
            y1={a.y}
            x2={b.x}
            y2={b.y}
            stroke="var(--line-strong)"
            strokeWidth={5}
            strokeLinecap="round"
          />
        );
      })}
      {widest !== undefined && (
        <ellipse
          cx={width / 2}
          cy={head + (top - (widest.topMm + widest.bottomMm) / 2) * scale}
          rx={widest.halfWidthMm * scale}
          ry={((widest.topMm - widest.bottomMm) / 2) * scale}
          fill="var(--sheet)"
          stroke="var(--line-strong)"
          strokeWidth={2}
        />
      )}
      {shapes.map((shape, i) => (
        <RearSurface
          key={shape.surface.id}
          shape={shape}
          mm={travelMm[i] ?? 0}
          chosen={shape.surface.id === selected}
          onSelect={onSelect}
          at={at}
          label={labels.find((one) => one.id === shape.surface.id)}
          lineAt={lineAt}
        />
      ))}
    </svg>
  );
}

/** What stands across the middle, and what moves sideways, is told by its name as well. */
const wordsOf = ({ surface }: SurfaceShape, mm: number) =>
  surface.side === "CENTRE" &&
  (!surface.sideways || WHEELS.has(surface.role) || surface.role === "NOZZLE")
    ? `${surface.name} ${travel(mm, surface)}`
    : travel(mm, surface);

interface Spot {
  x: number;
  y: number;
}

interface RearProps {
  shape: SurfaceShape;
  mm: number;
  chosen: boolean;
  onSelect: (id: string) => void;
  at: (point: Vec, by?: number, normal?: Vec) => Spot;
  label: Placed | undefined;
  lineAt: (label: Placed) => number;
}

function RearSurface({ shape, mm, chosen, onSelect, at, label, lineAt }: RearProps) {
  const { surface, edge, normal } = shape;
  const drawn = mm * TRAVEL_SCALE;
  const rest = edge.map((point) => at(point));
  const moved = edge.map((point) => at(point, drawn, normal));
  const ring = [...rest, ...[...moved].reverse()].map((p) => `${p.x},${p.y}`).join(" ");
  const [a, b] = moved as [Spot, Spot];
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${surface.name}: ${travelWords(mm, surface)}`}
      aria-pressed={chosen}
      className="cursor-pointer"
      onClick={() => onSelect(surface.id)}
      onKeyDown={(event) => {
        if (event.key === "Enter" || event.key === " ") {
          event.preventDefault();
          onSelect(surface.id);
        }
      }}
    >
      <polygon points={ring} fill={colour(mm)} opacity={0.22} />
      <line
        x1={a.x}
        y1={a.y}
        x2={b.x}
        y2={b.y}
        stroke={colour(mm)}
        strokeWidth={chosen ? 7 : 4.5}
        strokeLinecap="round"
        data-edge={surface.id}
      />
      {label !== undefined && (
        <>
          <line
            x1={label.at}
            y1={label.below ? lineAt(label) - FONT + 2 : lineAt(label) + 4}
            x2={(a.x + b.x) / 2}
            y2={(a.y + b.y) / 2}
            stroke="var(--line-strong)"
            strokeWidth={1}
          />
          <text
            x={label.at}
            y={lineAt(label)}
            textAnchor="middle"
            fontSize={FONT}
            fontWeight={chosen ? 750 : 560}
            fill="var(--ink)"
            className="figures"
            data-travel={surface.id}
          >
            {label.text}
          </text>
        </>
      )}
    </g>
  );
}

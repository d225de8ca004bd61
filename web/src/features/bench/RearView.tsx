import { corners, extent, surfaceShapes, type SurfaceShape, type Vec } from "@/domain/drawing";
import { travel, travelWords } from "@/domain/words";
import { colour, SIDE_MARGIN, type View } from "./view";

/** From behind, travels are drawn larger than the model, or they could not be seen. */
const TRAVEL_SCALE = 2.5;

/** From behind: right is right, and trailing edges stand above or below their panel. */
export function RearView({ width, setup, travelMm, selected, onSelect }: View) {
  const { half, top, bottom } = extent(setup);
  const scale = (width - 2 * SIDE_MARGIN) / (2 * half);
  const head = 46;
  const height = head + (top - bottom) * scale + 62;
  const at = (point: Vec, by = 0, normal?: Vec) => ({
    x: width / 2 + (point.right + (normal?.right ?? 0) * by) * scale,
    y: head + (top - point.up - (normal?.up ?? 0) * by) * scale,
  });
  const widest = [...setup.airframe.fuselage].sort((a, b) => b.halfWidthMm - a.halfWidthMm)[0];
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block max-h-[30dvh] w-full"
      role="group"
      aria-label="From behind"
    >
      <text x={12} y={20} fontSize={13} fontWeight={600} fill="var(--soft)">
        From behind, travel drawn {TRAVEL_SCALE}×
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
      {surfaceShapes(setup).map((shape, i) => (
        <RearSurface
          foot={height - 10}
          key={shape.surface.id}
          shape={shape}
          mm={travelMm[i] ?? 0}
          chosen={shape.surface.id === selected}
          onSelect={onSelect}
          at={at}
        />
      ))}
    </svg>
  );
}

interface Spot {
  x: number;
  y: number;
}

interface RearProps {
  /** Where a surface across the middle is labelled, out of the wings' way. */
  foot: number;
  shape: SurfaceShape;
  mm: number;
  chosen: boolean;
  onSelect: (id: string) => void;
  at: (point: Vec, by?: number, normal?: Vec) => Spot;
}

/** Panels steeper than this are labelled beyond their tip: above them is their neighbour. */
const STEEP = 0.9;

function labelPlace(shape: SurfaceShape, mm: number, a: Spot, b: Spot, foot: number) {
  const { surface, normal } = shape;
  if (surface.role === "WHEEL") {
    return { x: (a.x + b.x) / 2 + 66, y: foot, anchor: "start" as const };
  }
  if (surface.sideways) {
    return { x: Math.max(a.x, b.x) + 14, y: Math.min(a.y, b.y) - 4, anchor: "start" as const };
  }
  if (surface.side === "CENTRE") {
    return { x: (a.x + b.x) / 2, y: foot, anchor: "middle" as const };
  }
  if (normal.up < STEEP) {
    return surface.side === "LEFT"
      ? { x: b.x - 8, y: b.y - 12, anchor: "end" as const }
      : { x: b.x + 8, y: b.y - 12, anchor: "start" as const };
  }
  return {
    x: (a.x + b.x) / 2,
    y: (a.y + b.y) / 2 + (mm >= 0 ? -9 : 20),
    anchor: "middle" as const,
  };
}

function RearSurface({ foot, shape, mm, chosen, onSelect, at }: RearProps) {
  const { surface, edge, normal } = shape;
  const drawn = mm * TRAVEL_SCALE;
  const rest = edge.map((point) => at(point));
  const moved = edge.map((point) => at(point, drawn, normal));
  const ring = [...rest, ...[...moved].reverse()].map((p) => `${p.x},${p.y}`).join(" ");
  const [a, b] = moved as [Spot, Spot];
  const label = labelPlace(shape, mm, a, b, foot);
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`${surface.name}: ${travelWords(mm, surface)}`}
      aria-pressed={chosen}
      className="cursor-pointer"
      onClick={() => onSelect(surface.id)}
      onKeyDown={(event) => (event.key === "Enter" || event.key === " ") && onSelect(surface.id)}
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
      <text
        x={label.x}
        y={label.y}
        textAnchor={label.anchor}
        fontSize={15}
        fontWeight={chosen ? 750 : 560}
        fill="var(--ink)"
        stroke="var(--sheet)"
        strokeWidth={4}
        paintOrder="stroke"
        className="figures"
        data-travel={surface.id}
      >
        {surface.side === "CENTRE" &&
          (!surface.sideways || surface.role === "WHEEL") &&
          `${surface.name} `}
        {travel(mm, surface)}
      </text>
    </g>
  );
}

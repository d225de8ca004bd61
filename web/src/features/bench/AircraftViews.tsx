import { corners, extent, surfaceShapes, type SurfaceShape, type Vec } from "@/domain/drawing";
import { travel, travelWords } from "@/domain/words";
import type { Setup } from "@/api/queries";
import { useBench, useBenchStore } from "./store";

const WIDTH = 620;
/** Beside an editor the drawing is small, so its figures are larger against it. */
const COMPACT_WIDTH = 430;
const SIDE_MARGIN = 62;
/** From behind, travels are drawn larger than the model, or they could not be seen. */
const TRAVEL_SCALE = 2.5;

interface View {
  width: number;
  setup: Setup;
  travelMm: number[];
  degrees: number[];
  selected: string;
  onSelect: (id: string) => void;
}

/** The live model, from behind and from above. */
export function AircraftViews({ compact = false }: { compact?: boolean }) {
  const store = useBenchStore();
  const setup = useBench((state) => state.setup);
  const frame = useBench((state) => state.frame);
  const selected = useBench((state) => state.selected);
  if (setup === undefined || frame === undefined) {
    return <p className="p-6 text-soft">The bench is being set up …</p>;
  }
  const view: View = {
    width: compact ? COMPACT_WIDTH : WIDTH,
    setup,
    travelMm: frame.positions.travelMm,
    degrees: frame.positions.surfaceDegrees,
    selected,
    onSelect: (id) => store.select(id),
  };
  return (
    <div
      className="mm-paper overflow-hidden rounded-card border border-line"
      data-frame={frame.number}
    >
      <RearView {...view} />
      {!compact && <TopView {...view} />}
    </div>
  );
}

const colour = (mm: number) =>
  Math.abs(mm) < 0.05 ? "var(--soft)" : mm > 0 ? "var(--plus)" : "var(--minus)";

/** From behind: right is right, and trailing edges stand above or below their panel. */
function RearView({ width, setup, travelMm, selected, onSelect }: View) {
  const { half, top, bottom } = extent(setup);
  const scale = (width - 2 * SIDE_MARGIN) / (2 * half);
  const head = 34;
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
  if (surface.sideways) {
    return { x: Math.max(a.x, b.x) + 14, y: Math.min(a.y, b.y) - 4, anchor: "start" as const };
  }
  if (surface.side === "CENTRE") {
    return { x: (a.x + b.x) / 2, y: foot, anchor: "middle" as const };
  }
  if (normal.up < STEEP) {
    return surface.side === "LEFT"
      ? { x: b.x - 12, y: b.y, anchor: "end" as const }
      : { x: b.x + 12, y: b.y, anchor: "start" as const };
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
      aria-label={`${surface.name}: ${travelWords(mm, surface.sideways)}`}
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
        {surface.side === "CENTRE" && !surface.sideways && `${surface.name} `}
        {travel(mm, surface.sideways)}
      </text>
    </g>
  );
}

/** From above, nose up: panels, and each surface shortened by its angle as the eye sees it. */
function TopView({ width, setup, travelMm, degrees, selected, onSelect }: View) {
  const { half, length } = extent(setup);
  const scale = (width - 2 * SIDE_MARGIN) / (2 * half);
  const head = 34;
  const height = head + length * scale + 22;
  const at = (point: Vec) => `${width / 2 + point.right * scale},${head + point.aft * scale}`;
  const body = setup.airframe.fuselage;
  const outline = [
    ...body.map((s) => ({ aft: s.aftMm, right: -s.halfWidthMm, up: 0 })),
    ...[...body].reverse().map((s) => ({ aft: s.aftMm, right: s.halfWidthMm, up: 0 })),
  ];
  const panels = [...setup.airframe.panels].sort((a, b) => a.root.upMm - b.root.upMm);
  const shapes = surfaceShapes(setup);
  const drawn = shapes
    .map((shape, i) => ({ shape, mm: travelMm[i] ?? 0, angle: degrees[i] ?? 0 }))
    .sort((a, b) => a.shape.edge[0].up - b.shape.edge[0].up);
  const radius = (setup.airframe.propellerDiameterMm / 2) * scale;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block max-h-[42dvh] w-full border-t border-line"
      role="group"
      aria-label="From above"
    >
      <text x={12} y={20} fontSize={13} fontWeight={600} fill="var(--soft)">
        From above, nose up the page
      </text>
      {radius > 0 && (
        <line
          x1={width / 2 - radius}
          x2={width / 2 + radius}
          y1={head}
          y2={head}
          stroke="var(--line-strong)"
          strokeWidth={3}
          strokeDasharray="7 5"
        />
      )}
      {panels.map((panel) => (
        <polygon
          key={panel.id}
          points={corners(panel).map(at).join(" ")}
          fill="var(--inset)"
          fillOpacity={0.82}
          stroke="var(--line-strong)"
          strokeWidth={1.5}
          strokeLinejoin="round"
        />
      ))}
      <polygon
        points={outline.map(at).join(" ")}
        fill="var(--sheet)"
        fillOpacity={0.9}
        stroke="var(--line-strong)"
        strokeWidth={1.8}
        strokeLinejoin="round"
      />
      {drawn.map(({ shape, mm, angle }) => (
        <TopSurface
          key={shape.surface.id}
          shape={shape}
          mm={mm}
          angle={angle}
          chosen={shape.surface.id === selected}
          onSelect={onSelect}
          at={at}
        />
      ))}
    </svg>
  );
}

interface TopProps {
  shape: SurfaceShape;
  mm: number;
  angle: number;
  chosen: boolean;
  onSelect: (id: string) => void;
  at: (point: Vec) => string;
}

function TopSurface({ shape, mm, angle, chosen, onSelect, at }: TopProps) {
  const { surface, hinge, normal } = shape;
  const radians = (angle * Math.PI) / 180;
  const edge = hinge.map((point) => ({
    aft: point.aft + surface.chordMm * Math.cos(radians),
    right: point.right + normal.right * surface.chordMm * Math.sin(radians),
    up: point.up,
  })) as [Vec, Vec];
  const points = [hinge[0], hinge[1], edge[1], edge[0]].map(at).join(" ");
  return (
    // The view from behind offers the same surfaces to the keyboard.
    <g role="presentation" className="cursor-pointer" onClick={() => onSelect(surface.id)}>
      <polygon
        points={points}
        fill={colour(mm)}
        fillOpacity={Math.abs(mm) < 0.05 ? 0.12 : 0.5}
        stroke={chosen ? "var(--ink)" : colour(mm)}
        strokeWidth={chosen ? 3 : 1.5}
        strokeLinejoin="round"
      />
    </g>
  );
}

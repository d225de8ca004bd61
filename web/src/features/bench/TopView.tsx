import { corners, extent, surfaceShapes, type SurfaceShape, type Vec } from "@/domain/drawing";
import { colour, SIDE_MARGIN, type View } from "./view";
import { say } from "@/words/generated/bench";

/** From above, nose up: panels, and each surface shortened by its angle as the eye sees it. */
export function TopView({ width, tallest, setup, travelMm, degrees, selected, onSelect }: View) {
  const { half, length } = extent(setup);
  const scale = Math.min((width - 2 * SIDE_MARGIN) / (2 * half), (tallest ?? Infinity) / length);
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
  const swung = swings(setup, degrees);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block w-full border-t border-line"
      role="group"
      aria-label={say("topView.fromAbove")}
    >
      <text x={12} y={20} fontSize={13} fontWeight={600} fill="var(--ink)">
        {say("topView.caption")}
      </text>
      {setup.airframe.motors.map((motor) => (
        <Propeller key={motor.id} motor={motor} at={at} scale={scale} />
      ))}
      {panels.map((panel) => (
        <polygon
          key={panel.id}
          points={corners(panel).map(swung(panel.id)).map(at).join(" ")}
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
          at={(point) => at(swung(shape.surface.place.panel)(point))}
        />
      ))}
    </svg>
  );
}

interface PropellerProps {
  motor: View["setup"]["airframe"]["motors"][number];
  at: (point: Vec) => string;
  scale: number;
}

function Propeller({ motor, at, scale }: PropellerProps) {
  const [x = 0, y = 0] = at({ aft: motor.aftMm, right: motor.rightMm, up: 0 })
    .split(",")
    .map(Number);
  const radius = (motor.propellerDiameterMm / 2) * scale;
  return (
    <g stroke="var(--line-strong)" strokeWidth={3}>
      <line x1={x - radius} x2={x + radius} y1={y} y2={y} strokeDasharray="7 5" />
      {Math.abs(motor.rightMm) > 1 && <line x1={x} x2={x} y1={y} y2={y + 18} strokeWidth={9} />}
    </g>
  );
}

/** Turns what stands on a swinging wing about the wing's root, by the angle it is swept to. */
function swings(setup: View["setup"], degrees: number[]) {
  return (panelId: string) => {
    const index = setup.surfaces.findIndex(
      (one) => one.role === "SWINGING_WING" && one.place.panel === panelId,
    );
    const panel = setup.airframe.panels.find((one) => one.id === panelId);
    if (index < 0 || panel === undefined) {
      return (point: Vec) => point;
    }
    const outward = panel.tip.rightMm < 0 ? -1 : 1;
    const angle = ((degrees[index] ?? 0) * Math.PI) / 180;
    const { aftMm, rightMm } = panel.root;
    return (point: Vec): Vec => {
      const aft = point.aft - aftMm;
      const out = (point.right - rightMm) * outward;
      return {
        aft: aftMm + aft * Math.cos(angle) + out * Math.sin(angle),
        right: rightMm + outward * (out * Math.cos(angle) - aft * Math.sin(angle)),
        up: point.up,
      };
    };
  };
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
  if (surface.role === "SWINGING_WING") {
    return null; // The panel itself turns.
  }
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

import type { Setup, Surface } from "./contract";

/** As much of a setup as its outline takes. */
export type Outline = Pick<Setup, "name" | "airframe" | "surfaces">;

/** Geometry for the aircraft's drawings: where things are, in mm; nothing here computes a movement. */

export interface Vec {
  aft: number;
  right: number;
  up: number;
}

type Panel = Setup["airframe"]["panels"][number];

/** A surface's hinge line and trailing edge at neutral, inner end first. */
export interface SurfaceShape {
  surface: Surface;
  hinge: [Vec, Vec];
  edge: [Vec, Vec];
  /** Unit vector in which plus moves the trailing edge. */
  normal: Vec;
}

const mix = (a: number, b: number, t: number) => a + (b - a) * t;

const leading = (panel: Panel, t: number): Vec => ({
  aft: mix(panel.root.aftMm, panel.tip.aftMm, t),
  right: mix(panel.root.rightMm, panel.tip.rightMm, t),
  up: mix(panel.root.upMm, panel.tip.upMm, t),
});

const trailing = (panel: Panel, t: number): Vec => {
  const point = leading(panel, t);
  return { ...point, aft: point.aft + mix(panel.root.chordMm, panel.tip.chordMm, t) };
};

/** The four corners of a panel: along the leading edge, back along the trailing edge. */
export const corners = (panel: Panel): Vec[] => [
  leading(panel, 0),
  leading(panel, 1),
  trailing(panel, 1),
  trailing(panel, 0),
];

/** Square to the panel and to the flow; up for wings, right for an upright fin. */
function normalOf(panel: Panel, sideways: boolean): Vec {
  const right = panel.tip.rightMm - panel.root.rightMm;
  const up = panel.tip.upMm - panel.root.upMm;
  const length = Math.hypot(right, up) || 1;
  const normal = { aft: 0, right: -up / length, up: right / length };
  const points = sideways ? normal.right : normal.up;
  return points < 0 ? { aft: 0, right: -normal.right, up: -normal.up } : normal;
}

/** Shapes of all surfaces whose panel is there. */
export function surfaceShapes(setup: Outline): SurfaceShape[] {
  return setup.surfaces.flatMap((surface) => {
    const panel = setup.airframe.panels.find((one) => one.id === surface.place.panel);
    return panel === undefined ? [] : [shape(surface, panel)];
  });
}

/** A spoiler lies on the upper side; its hinge is drawn this far back on the chord. */
const SPOILER_AT = 0.45;

function shape(surface: Surface, panel: Panel): SurfaceShape {
  // Of a nose wheel it is the front that is told, and drawn.
  const nose = surface.role === "NOSE_WHEEL";
  const behind = (t: number): Vec => {
    const front = leading(panel, t);
    const chord = mix(panel.root.chordMm, panel.tip.chordMm, t);
    return surface.role === "SPOILER"
      ? { ...front, aft: front.aft + chord * SPOILER_AT + surface.chordMm }
      : nose
        ? front
        : trailing(panel, t);
  };
  const edge: [Vec, Vec] = [behind(surface.place.from), behind(surface.place.to)];
  const forward = (point: Vec): Vec => ({
    ...point,
    aft: point.aft + (nose ? surface.chordMm : -surface.chordMm),
  });
  return {
    surface,
    edge,
    hinge: [forward(edge[0]), forward(edge[1])],
    normal: normalOf(panel, surface.sideways),
  };
}

/** How far the model reaches: half its span, its length, and its height above and below. */
export function extent(setup: Outline): {
  half: number;
  length: number;
  top: number;
  bottom: number;
} {
  const points = setup.airframe.panels.flatMap(corners);
  const sections = setup.airframe.fuselage;
  return {
    half: Math.max(100, ...points.map((p) => Math.abs(p.right))),
    length: Math.max(100, ...points.map((p) => p.aft), ...sections.map((s) => s.aftMm)),
    top: Math.max(20, ...points.map((p) => p.up), ...sections.map((s) => s.topMm)),
    bottom: Math.min(-20, ...points.map((p) => p.up), ...sections.map((s) => s.bottomMm)),
  };
}

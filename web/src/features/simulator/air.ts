import type { FlightSample, Outline } from "@/api/school";

export type Point = readonly [x: number, y: number, z: number];

/** A direction or place of the body (x forward, y right, z down) seen in the world (north, east, up). */
export function toWorld(s: FlightSample, [x, y, z]: Point): Point {
  const tx = 2 * (s.y * z - s.z * y);
  const ty = 2 * (s.z * x - s.x * z);
  const tz = 2 * (s.x * y - s.y * x);
  const north = x + s.w * tx + s.y * tz - s.z * ty;
  const east = y + s.w * ty + s.z * tx - s.x * tz;
  const down = z + s.w * tz + s.x * ty - s.y * tx;
  return [s.northM + north, s.eastM + east, s.upM - down];
}

/** The same flight with right and left exchanged. */
export const mirrored = (path: FlightSample[]): FlightSample[] =>
  path.map((s) => ({ ...s, eastM: -s.eastM, x: -s.x, z: -s.z, roll: -s.roll, yaw: -s.yaw }));

/** Where a path is looked at from. */
export type View = "pilot" | "side" | "behind";

export interface Shot {
  /** Where a place of the world is on the picture; undefined behind the eye. */
  at: (place: Point) => readonly [x: number, y: number] | undefined;
  horizon: number | undefined;
}

interface Box {
  min: [number, number, number];
  max: [number, number, number];
}

const boxOf = (paths: FlightSample[][]): Box => {
  const box: Box = { min: [Infinity, Infinity, Infinity], max: [-Infinity, -Infinity, -Infinity] };
  for (const s of paths.flat()) {
    [s.northM, s.eastM, s.upM].forEach((value, i) => {
      box.min[i as 0] = Math.min(box.min[i as 0], value);
      box.max[i as 0] = Math.max(box.max[i as 0], value);
    });
  }
  return box;
};

const HEIGHT = 150;

/**
 * From where a pilot stands: beside the middle of the path, far below; from the side and from
 * behind: square on, to scale.
 */
export function shot(view: View, paths: FlightSample[][], width: number, height: number): Shot {
  const { min, max } = boxOf(paths);
  const middle = [0, 1, 2].map((i) => ((min[i] ?? 0) + (max[i] ?? 0)) / 2) as [
    number,
    number,
    number,
  ];
  const room = 0.84;
  if (view !== "pilot") {
    const across = view === "side" ? 0 : 1;
    const wide = Math.max(8, (max[across] ?? 0) - (min[across] ?? 0));
    const tall = Math.max(8, max[2] - min[2]);
    const scale = room * Math.min(width / (wide + 6), height / (tall + 6));
    return {
      at: (place) => [
        width / 2 + scale * ((place[across] ?? 0) - (middle[across] ?? 0)),
        height / 2 - scale * (place[2] - middle[2]),
      ],
      horizon: height / 2 + scale * (middle[2] - HEIGHT),
    };
  }
  const away = Math.max(45, 0.9 * (max[0] - min[0]), 0.9 * (max[2] - min[2]));
  const eye: Point = [middle[0], middle[1] - away, Math.min(min[2] - 6, HEIGHT - 18)];
  const rise = Math.atan2(middle[2] - eye[2], away);
  const size = Math.max(max[0] - min[0], (max[2] - min[2]) * (width / height), 20) + 10;
  const focus = (room * width * Math.hypot(away, middle[2] - eye[2])) / size;
  return {
    at: ([north, east, up]) => {
      const ahead = east - eye[1];
      const higher = up - eye[2];
      const depth = ahead * Math.cos(rise) + higher * Math.sin(rise);
      if (depth < 1) {
        return undefined;
      }
      const over = higher * Math.cos(rise) - ahead * Math.sin(rise);
      return [width / 2 + (focus * (north - eye[0])) / depth, height / 2 - (focus * over) / depth];
    },
    horizon: height / 2 + focus * Math.tan(rise),
  };
}

/** The model's outlines at a moment, in the world. */
export const placed = (frame: Outline[], s: FlightSample, larger: number) =>
  frame.map((outline) => ({
    part: outline.part,
    corners: outline.corners.map((c) => toWorld(s, [larger * c.x, larger * c.y, larger * c.z])),
  }));

import { corners, extent, surfaceShapes, type Outline, type Vec } from "@/domain/drawing";
import { say } from "@/words/generated/hangar";

/** The model from above, at rest, from its numbers. */
export function Silhouette({ setup }: { setup: Outline }) {
  const { half, length } = extent(setup);
  const margin = 20;
  const at = (p: Vec) => `${p.right + half + margin},${p.aft + margin}`;
  const body = setup.airframe.fuselage;
  const outline = [
    ...body.map((s) => ({ aft: s.aftMm, right: -s.halfWidthMm, up: 0 })),
    ...[...body].reverse().map((s) => ({ aft: s.aftMm, right: s.halfWidthMm, up: 0 })),
  ];
  const line = {
    stroke: "var(--line-strong)",
    strokeWidth: half / 130,
    strokeLinejoin: "round" as const,
  };
  return (
    <svg
      viewBox={`0 0 ${2 * (half + margin)} ${length + 2 * margin}`}
      className="max-h-56 w-full max-w-72"
      role="img"
      aria-label={say("silhouette.fromAbove", { setup: setup.name })}
    >
      {[...setup.airframe.panels]
        .sort((a, b) => a.root.upMm - b.root.upMm)
        .map((panel) => (
          <polygon
            key={panel.id}
            points={corners(panel).map(at).join(" ")}
            fill="var(--inset)"
            {...line}
          />
        ))}
      <polygon points={outline.map(at).join(" ")} fill="var(--sheet)" {...line} />
      {surfaceShapes(setup)
        .filter(({ surface }) => surface.role !== "SWINGING_WING")
        .map(({ surface, hinge, edge }) => (
          <polygon
            key={surface.id}
            points={[hinge[0], hinge[1], edge[1], edge[0]].map(at).join(" ")}
            fill="var(--brand)"
            opacity={0.75}
          />
        ))}
    </svg>
  );
}

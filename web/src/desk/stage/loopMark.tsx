import type { Point } from "@twin-petal/core";

/** A loop that is being drawn to choose with, in pixels. */
export function LoopMark({ points }: { points: readonly Point[] }) {
  if (points.length < 2) return null;
  const drawn = points.map(({ x, y }) => `${x},${y}`).join(" ");
  return (
    <>
      <polygon
        points={drawn}
        fill="var(--words)"
        fillOpacity={0.08}
        stroke="#FFFFFF"
        strokeWidth={2}
        style={{ paintOrder: "stroke" }}
      />
      <polyline points={drawn} fill="none" stroke="#2B2140" strokeDasharray="3 3" />
    </>
  );
}

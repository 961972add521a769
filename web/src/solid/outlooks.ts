import type { SpaceBox } from "@twin-petal/core";

/** Sides solids are looked at from. */
export const OUTLOOKS = [
  { side: "corner", words: "from a corner", around: 25, above: 35 },
  { side: "front", words: "from the front", around: 0, above: 0 },
  { side: "right", words: "from the side", around: 90, above: 0 },
  { side: "above", words: "from above", around: 0, above: 89.99 },
] as const;

/** A side solids are looked at from. */
export type Side = (typeof OUTLOOKS)[number]["side"];

/** Degrees the camera sees from its lower to its upper edge. */
export const FIELD = 28;

/** Where the camera stands to see a box whole from a side, and what it looks at. Millimetres. */
export function standpoint(
  box: SpaceBox,
  side: Side,
): { from: [number, number, number]; to: [number, number, number] } {
  const { around, above } = OUTLOOKS.find((known) => known.side === side) ?? OUTLOOKS[0];
  const to: [number, number, number] = [
    (box.min[0] + box.max[0]) / 2,
    (box.min[1] + box.max[1]) / 2,
    (box.min[2] + box.max[2]) / 2,
  ];
  const radius = Math.max(1, Math.hypot(...[0, 1, 2].map((axis) => ((box.max[axis] ?? 0) - (box.min[axis] ?? 0)) / 2)));
  const away = (radius * 1.15) / Math.sin((FIELD / 2) * (Math.PI / 180));
  const [a, e] = [(around * Math.PI) / 180, (above * Math.PI) / 180];
  return {
    to,
    from: [
      to[0] + away * Math.sin(a) * Math.cos(e),
      to[1] - away * Math.cos(a) * Math.cos(e),
      to[2] + away * Math.sin(e),
    ],
  };
}

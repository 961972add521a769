import type { Opening } from "@twin-petal/core";
import { toScreen } from "@/paint/view";
import { usePicture } from "./pictureContext";

/** Places where lines end a little before another, ringed on the sheet: faces stay open there. */
export function OpeningMarks({ openings }: { openings: readonly Opening[] }) {
  const { view, size } = usePicture("view", "size");
  if (!view || !size) return null;
  return openings.map(({ from, to, width }, index) => {
    const { x, y } = toScreen(view, size, { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 });
    const radius = Math.max(6, (width * view.scale) / 2 + 3);
    return (
      <g key={index} data-testid="opening" transform={`translate(${x} ${y})`} fill="none">
        <circle r={radius} stroke="#FFFFFF" strokeWidth={3.5} />
        <circle r={radius} stroke="#9A6B16" strokeWidth={1.75} strokeDasharray="3 2" />
      </g>
    );
  });
}

import type { Point } from "@twin-petal/core";

/** Where the keys will place the next point. */
export function Cross({ at: { x, y } }: { at: Point }) {
  return (
    <g transform={`translate(${x} ${y})`} strokeLinecap="round">
      <path d="M-9 0H9M0-9V9" stroke="#FFFFFF" strokeWidth={4} />
      <path d="M-9 0H9M0-9V9" stroke="#2B2140" strokeWidth={1.5} />
    </g>
  );
}

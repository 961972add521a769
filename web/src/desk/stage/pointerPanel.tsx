import type { Point } from "@twin-petal/core";

/** A letter of the panel is so wide, pixels. */
const LETTER = 8;

/** What stands beside the pointer while something is drawn or pulled: a line of words each. */
export function PointerPanel({ at, lines }: { at: Point; lines: readonly (string | null)[] }) {
  const shown = lines.filter((line): line is string => line !== null && line !== "");
  if (shown.length === 0) return null;
  const width = Math.max(...shown.map((line) => line.length)) * LETTER + 14;
  return (
    <g transform={`translate(${at.x + 16} ${at.y + 14})`} aria-hidden="true" className="pointer-events-none">
      <rect
        width={width}
        height={shown.length * 18 + 8}
        rx={4}
        fill="var(--surface)"
        stroke="var(--hairline)"
        opacity={0.95}
      />
      {shown.map((line, index) => (
        <text key={index} x={7} y={18 * index + 18} className="fill-words font-mono text-[12.5px]">
          {line}
        </text>
      ))}
    </g>
  );
}

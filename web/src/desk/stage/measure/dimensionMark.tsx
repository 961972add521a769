import { directionOf, distance, polar, type Point } from "@twin-petal/core";

/** Half of what closes a measure off at its ends, and how far its words stand off, pixels. */
const END = 6;
const OFF = 12;
const LETTER = 7.6;

interface DimensionMarkProps {
  /** Pixels. */
  readonly from: Point;
  readonly to: Point;
  readonly words: string;
}

/** A measure from place to place: a line closed off at both ends, with what it comes to. */
export function DimensionMark({ from, to, words }: DimensionMarkProps) {
  if (distance(from, to) < 1) return null;
  const across = directionOf(from, to) + 90;
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const at = polar(OFF, across, middle);
  const ends = [from, to].map((end) => [polar(END, across, end), polar(-END, across, end)] as const);
  const lines = [[from, to] as const, ...ends];
  const width = words.length * LETTER + 10;
  return (
    <g data-testid="dimension">
      {["#FFFFFF", "var(--brass)"].map((color, layer) =>
        lines.map(([a, b], index) => (
          <line
            key={`${color}${index}`}
            x1={a.x}
            y1={a.y}
            x2={b.x}
            y2={b.y}
            stroke={color}
            strokeWidth={layer === 0 ? 3 : 1.25}
          />
        )),
      )}
      <g transform={`translate(${at.x - width / 2} ${at.y - 9})`}>
        <rect width={width} height={18} rx={4} fill="var(--surface)" stroke="var(--hairline)" opacity={0.95} />
        <text x={5} y={13} className="fill-words font-mono text-[12.5px]">
          {words}
        </text>
      </g>
    </g>
  );
}

import type { NodeType } from "@twin-petal/core";

/** Shapes of the marks: a chevron for a corner, a half-moon for a smooth node, a lens for a symmetric one. */
const SHAPES: Readonly<Record<NodeType, string>> = {
  corner: "M0-6 6 4 0 1.5-6 4Z",
  smooth: "M-6.5 1.5A6.5 6.5 0 0 1 6.5 1.5Z",
  symmetric: "M0-7C5-3.5 5 3.5 0 7-5 3.5-5-3.5 0-7Z",
};

interface NodeGlyphProps {
  readonly type: NodeType;
  readonly chosen: boolean;
  /** Whether the outline begins here. */
  readonly first: boolean;
  /** Degrees the mark is turned, along the outline. */
  readonly turn: number;
}

/** A node's mark: a dark core with a light rim, so that it shows on any artwork; reversed while it is chosen. */
export function NodeGlyph({ type, chosen, first, turn }: NodeGlyphProps) {
  return (
    <g transform={`rotate(${turn}) scale(1.15)`}>
      <path
        d={SHAPES[type]}
        fill={chosen ? "#FFFFFF" : "#2B2140"}
        stroke={chosen ? "#2B2140" : "#FFFFFF"}
        strokeWidth={chosen ? 2 : 1.5}
        strokeLinejoin="round"
      />
      {first && <path d="M9-4 15 0 9 4" fill="none" stroke="#2B2140" strokeWidth={2} strokeLinecap="round" />}
    </g>
  );
}

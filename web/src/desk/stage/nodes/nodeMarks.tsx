import { memo } from "react";
import { nodeAt, segmentsOfRun, type DrawnPath, type NodeType, type Point } from "@twin-petal/core";
import { handleEnds, middleOfSegment } from "./grasp";
import { NodeGlyph } from "./nodeGlyph";

/** Above this many segments their middles are not marked, so that the nodes stay visible. */
const MOST_MIDDLES = 80;

interface MarksProps {
  readonly paths: readonly DrawnPath[];
  screen: (point: Point) => Point;
}

/** Small marks at the middles of segments, where they are pulled. */
export function Middles({ paths, screen }: MarksProps) {
  const middles = paths.flatMap((path) => segmentsOfRun(path).map(middleOfSegment));
  if (middles.length > MOST_MIDDLES) return null;
  return (
    <g>
      {middles.map((middle, index) => {
        const { x, y } = screen(middle);
        return (
          <circle
            key={index}
            cx={x}
            cy={y}
            r={2.5}
            fill="#FFFFFF"
            stroke="#2B2140"
            strokeWidth={1}
            className="cursor-grab"
          />
        );
      })}
    </g>
  );
}

/** The handles of the chosen nodes, and of their neighbours' sides that face them. */
export function Handles({ paths, chosen, screen }: MarksProps & { chosen: ReadonlySet<number> }) {
  return (
    <g>
      {[...chosen].flatMap((number) => {
        const node = nodeAt(paths, number);
        if (!node) return [];
        const at = screen(node);
        return handleEnds(node, screen).map(({ side, end }) => (
          <g key={`${number}${side}`} className="cursor-move">
            <line x1={at.x} y1={at.y} x2={end.x} y2={end.y} stroke="#FFFFFF" strokeWidth={3} />
            <line x1={at.x} y1={at.y} x2={end.x} y2={end.y} stroke="#2B2140" strokeWidth={1} />
            <circle cx={end.x} cy={end.y} r={4} fill="#2B2140" stroke="#FFFFFF" strokeWidth={1.5} />
          </g>
        ));
      })}
    </g>
  );
}

interface NodeMarkProps {
  readonly number: number;
  readonly x: number;
  readonly y: number;
  readonly type: NodeType;
  readonly chosen: boolean;
  readonly first: boolean;
  readonly turn: number;
}

/** One node; drawn again only when it has changed itself. */
export const NodeMark = memo(function NodeMark({ number, x, y, type, chosen, first, turn }: NodeMarkProps) {
  return (
    <g transform={`translate(${x} ${y})`} className="cursor-move" data-testid={`node-${number}`}>
      <NodeGlyph type={type} chosen={chosen} first={first} turn={turn} />
    </g>
  );
});

/** For each node the direction the outline leaves it in on the screen, degrees. */
export function turnsOf(paths: readonly DrawnPath[], screen: (point: Point) => Point): number[] {
  return paths.flatMap(({ nodes }) =>
    nodes.map((node, k) => {
      const next = nodes[(k + 1) % nodes.length] ?? node;
      const ahead = node.out ? { x: node.x + node.out.x, y: node.y + node.out.y } : next;
      const [a, b] = [screen(node), screen(ahead)];
      return (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
    }),
  );
}

import { nodeAt, placeOfNode, segmentsOfRun, type DrawnPath, type Point } from "@twin-petal/core";
import { middleOf } from "./grasp";

/** Above this many segments their middles are not marked, so that the nodes stay visible. */
const MOST_MIDDLES = 80;

interface MarksProps {
  readonly paths: readonly DrawnPath[];
  screen: (point: Point) => Point;
}

/** Small marks at the middles of segments, where they are pulled. */
export function Middles({ paths, screen }: MarksProps) {
  const middles = paths.flatMap((path) => segmentsOfRun(path).map(middleOf));
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
        return (["in", "out"] as const).flatMap((side) => {
          const handle = node[side];
          if (!handle) return [];
          const end = screen({ x: node.x + handle.x, y: node.y + handle.y });
          return [
            <g key={`${number}${side}`} className="cursor-move">
              <line x1={at.x} y1={at.y} x2={end.x} y2={end.y} stroke="#FFFFFF" strokeWidth={3} />
              <line x1={at.x} y1={at.y} x2={end.x} y2={end.y} stroke="#2B2140" strokeWidth={1} />
              <circle cx={end.x} cy={end.y} r={4} fill="#2B2140" stroke="#FFFFFF" strokeWidth={1.5} />
            </g>,
          ];
        });
      })}
    </g>
  );
}

/** The direction the outline leaves a node in on the screen, degrees. */
export function turnAt(paths: readonly DrawnPath[], number: number, screen: (point: Point) => Point): number {
  const place = placeOfNode(paths, number);
  const run = place && paths[place.run];
  const node = place && run?.nodes[place.node];
  if (!place || !run || !node) return 0;
  const next = run.nodes[(place.node + 1) % run.nodes.length] ?? node;
  const ahead = node.out ? { x: node.x + node.out.x, y: node.y + node.out.y } : next;
  const [a, b] = [screen(node), screen(ahead)];
  return (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
}

import type { Facets } from "../boolean/facets";
import { numbersOf } from "../boolean/wholeNumbers";
import type { Path } from "../path";
import type { Nodes } from "../boolean/nodes";
import type { Edge } from "./splitEdges";

/** For each outline its edges before any is split, in the order they are travelled. */
export function outlineEdges(outlines: readonly Path[], { operands }: Facets, nodes: Nodes): Edge[][] {
  return operands.map((polygons, source) => {
    const runs = (outlines[source] ?? []).filter(({ coordinates }) => coordinates.length > 2);
    return polygons.flatMap((cells, run) => {
      const closed = runs[run]?.closed ?? true;
      const count = cells.length / 3;
      const numbers = numbersOf(cells);
      const at = (k: number) => nodes.at(numbers[3 * k] ?? 0, numbers[3 * k + 1] ?? 0, numbers[3 * k + 2]);
      const stops = Array.from({ length: count }, (_, k) => at(k));
      const last = closed ? count : count - 1;
      return Array.from({ length: Math.max(0, last) }, (_, k) => ({
        from: stops[k] ?? 0,
        to: stops[(k + 1) % count] ?? 0,
        source: closed ? source : -1,
      }));
    });
  });
}

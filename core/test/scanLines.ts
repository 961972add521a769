import type { Path } from "../src";
import { rotation } from "../src/geometry/matrix";
import { segmentsOf, transformPath } from "../src/geometry/path";

/** Chords to a curve and lines over an ornament: fine enough for a share of 5e-4. */
const CHORDS = 48;
const LINES = 4_001;
/** Sheets are turned before lines run over them: hardly an edge lies level then. */
const TURNED = rotation(Math.sqrt(431));

interface Edge {
  readonly top: number;
  readonly bottom: number;
  readonly x: number;
  readonly slope: number;
  readonly way: 1 | -1;
  readonly outline: number;
}

/**
 * What an area measures where `counts` holds of the winding numbers of all outlines, square millimetres: the lengths inside along
 * level lines, added up. It shares no code with joins.
 */
export function scannedArea(outlines: readonly Path[], counts: (windings: readonly number[]) => boolean): number {
  const edges = outlines.flatMap((path, outline) => edgesOf(transformPath(path, TURNED), outline));
  const top = Math.min(...edges.map((edge) => edge.top));
  const bottom = Math.max(...edges.map((edge) => edge.bottom));
  const pitch = (bottom - top) / LINES;
  const crossings = Array.from({ length: LINES }, (): { x: number; edge: Edge }[] => []);
  for (const edge of edges) {
    const lineBelow = (y: number) => Math.max(0, Math.ceil((y - top) / pitch - 0.5));
    for (let line = lineBelow(edge.top); line < Math.min(LINES, lineBelow(edge.bottom)); line++) {
      crossings[line]?.push({ x: edge.x + edge.slope * (top + (line + 0.5) * pitch - edge.top), edge });
    }
  }
  return crossings.reduce((sum, met) => sum + pitch * lengthInside(met, outlines.length, counts), 0);
}

function lengthInside(
  met: { x: number; edge: Edge }[],
  outlines: number,
  counts: (windings: readonly number[]) => boolean,
): number {
  const windings = Array.from({ length: outlines }, () => 0);
  let [length, last, inside] = [0, 0, false];
  for (const { x, edge } of met.sort((a, b) => a.x - b.x)) {
    if (inside) length += x - last;
    windings[edge.outline] = (windings[edge.outline] ?? 0) + edge.way;
    inside = counts(windings);
    last = x;
  }
  return length;
}

function edgesOf(path: Path, outline: number): Edge[] {
  return path.flatMap((run) =>
    segmentsOf(run).flatMap(([a, b, c, d]) => {
      const at = (t: number) => {
        const [s, p, q, r, u] = [1 - t, (1 - t) ** 3, 3 * (1 - t) ** 2 * t, 3 * (1 - t) * t ** 2, t ** 3];
        return s === 1 ? a : { x: p * a.x + q * b.x + r * c.x + u * d.x, y: p * a.y + q * b.y + r * c.y + u * d.y };
      };
      return Array.from({ length: CHORDS }, (_, k): Edge => {
        const [from, to] = [at(k / CHORDS), at((k + 1) / CHORDS)];
        const [upper, lower] = from.y < to.y ? [from, to] : [to, from];
        const slope = upper.y === lower.y ? 0 : (lower.x - upper.x) / (lower.y - upper.y);
        return { top: upper.y, bottom: lower.y, x: upper.x, slope, way: from.y < to.y ? 1 : -1, outline };
      });
    }),
  );
}

import { atEvenPace, isStraight, pointAt, type Cubic } from "../cubic";
import { chordsNeeded } from "../flatten";
import { segmentsOf, type Path, type Subpath } from "../path";
import { distance, type Point } from "../point";
import { Nodes } from "./nodes";
import { wholeNumbers } from "./wholeNumbers";

/** Cells of the grid that flattened outlines are laid on, a millimetre. */
export const CELLS_PER_MILLIMETRE = 65_536;

/** A curve of an outline, and the chords it was flattened into. */
export interface FlattenedCurve {
  /** The curve; straight ones are travelled at an even pace. */
  readonly cubic: Cubic;
  /** Whether its handles lie on its chord. */
  readonly straight: boolean;
  /** Chords of equal length in the parameter. */
  readonly chords: number;
  /** The curve before it in its run. */
  readonly before: number;
}

/** Outlines laid on the grid, each vertex knowing the curve and the place on it that it came from. */
export interface Facets {
  /** Every curve, by its number. */
  readonly curves: readonly FlattenedCurve[];
  /** For each vertex number the curve that leaves it, and the chord of the curve that begins there. */
  readonly curveOf: readonly number[];
  /** For each vertex number the chord of that curve that begins there. */
  readonly chordOf: readonly number[];
  /** One polygon a run: x, y in cells and the vertex's number, three to a vertex. Numbers count from 1. */
  readonly operands: readonly (readonly BigInt64Array[])[];
}

/**
 * Flattens outlines to within a tolerance (millimetres) and lays them on the grid. Open runs are closed
 * by a straight edge, as a fill closes them, or left open as lines. Vertices that nearly meet are made to meet, so that edges
 * shared by two outlines are shared exactly.
 */
export function facetsOf(operands: readonly Path[], tolerance: number, openRuns: "closed" | "open" = "closed"): Facets {
  const curves: FlattenedCurve[] = [];
  const curveOf: number[] = [-1];
  const chordOf: number[] = [0];
  const nodes = new Nodes();
  const polygons = operands.map((path) =>
    path.flatMap((subpath) => {
      const isLine = openRuns === "open" && !subpath.closed;
      const segments = isLine ? solidSegments(subpath) : closedSegments(segmentsOf(subpath));
      if (segments.length === 0) return [];
      const first = curves.length;
      const cells: number[] = [];
      segments.forEach((segment, index) => {
        const curve = curves.length;
        const straight = isStraight(segment);
        const cubic = straight ? atEvenPace(segment) : segment;
        const chords = straight ? 1 : evenly(chordsNeeded(cubic, tolerance));
        curves.push({ cubic, straight, chords, before: index === 0 ? first + segments.length - 1 : curve - 1 });
        for (let chord = 0; chord < chords; chord++) {
          pushCell(cells, pointAt(cubic, chord / chords), nodes, curveOf.length);
          curveOf.push(curve);
          chordOf.push(chord);
        }
      });
      const end = segments.at(-1)?.[3];
      if (isLine && end) pushCell(cells, end, nodes, 0);
      return [wholeNumbers(cells)];
    }),
  );
  return { curves, curveOf, chordOf, operands: polygons };
}

/** An even count, at least four: a curve then has a vertex at its middle and does not fold onto its chord. */
function evenly(chords: number): number {
  return Math.max(4, chords + (chords % 2));
}

function closedSegments(segments: readonly Cubic[]): Cubic[] {
  const start = segments[0]?.[0];
  const end = segments.at(-1)?.[3];
  const kept = segments.filter((segment) => !isPoint(segment));
  if (!start || !end || distance(start, end) < 1e-9) return kept;
  return [...kept, [end, end, start, start]];
}

function solidSegments(subpath: Subpath): Cubic[] {
  return segmentsOf(subpath).filter((segment) => !isPoint(segment));
}

function isPoint([start, leave, arrive, end]: Cubic): boolean {
  return [leave, arrive, end].every((point) => distance(start, point) < 1e-9);
}

/** The cell of a point, or that of a vertex already laid within the weld's reach, and the vertex's number. */
function pushCell(cells: number[], { x, y }: Point, nodes: Nodes, vertex: number): void {
  const node = nodes.at(Math.round(x * CELLS_PER_MILLIMETRE), Math.round(y * CELLS_PER_MILLIMETRE));
  cells.push(nodes.x[node] ?? 0, nodes.y[node] ?? 0, vertex);
}

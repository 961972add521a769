import { atEvenPace, isStraight, pointAt, type Cubic } from "../cubic";
import { chordsNeeded } from "../flatten";
import { segmentsOf, type Path, type Subpath } from "../path";
import { distance, type Point } from "../point";

/** Cells of the grid that flattened outlines are laid on, a millimetre. */
export const CELLS_PER_MILLIMETRE = 65_536;
/** Vertices nearer than this many cells are one. */
const WELD = 2;

/** A curve of an outline, and the chords it was flattened into. */
export interface FlattenedCurve {
  /** The curve; straight ones are travelled at an even pace. */
  readonly cubic: Cubic;
  readonly straight: boolean;
  /** Chords of equal length in the parameter. */
  readonly chords: number;
  /** The curve before it in its run. */
  readonly before: number;
}

/** Outlines laid on the grid, each vertex knowing the curve and the place on it that it came from. */
export interface Facets {
  readonly curves: readonly FlattenedCurve[];
  /** For each vertex number the curve that leaves it, and the chord of the curve that begins there. */
  readonly curveOf: readonly number[];
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
  const weld = new Welding();
  const polygons = operands.map((path) =>
    path.flatMap((subpath) => {
      const isLine = openRuns === "open" && !subpath.closed;
      const segments = isLine ? solidSegments(subpath) : closedSegments(segmentsOf(subpath));
      if (segments.length === 0) return [];
      const first = curves.length;
      const cells: bigint[] = [];
      segments.forEach((segment, index) => {
        const curve = curves.length;
        const straight = isStraight(segment);
        const cubic = straight ? atEvenPace(segment) : segment;
        const chords = straight ? 1 : evenly(chordsNeeded(cubic, tolerance));
        curves.push({ cubic, straight, chords, before: index === 0 ? first + segments.length - 1 : curve - 1 });
        for (let chord = 0; chord < chords; chord++) {
          const at = weld.cellOf(pointAt(cubic, chord / chords));
          cells.push(BigInt(at.x), BigInt(at.y), BigInt(curveOf.length));
          curveOf.push(curve);
          chordOf.push(chord);
        }
      });
      const end = segments.at(-1)?.[3];
      if (isLine && end) {
        const at = weld.cellOf(end);
        cells.push(BigInt(at.x), BigInt(at.y), 0n);
      }
      return [BigInt64Array.from(cells)];
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

/** Finds the cell of a point, or that of a vertex already laid within the weld's reach. */
class Welding {
  private readonly laid = new Map<string, Point[]>();

  cellOf({ x, y }: Point): Point {
    const cell = { x: Math.round(x * CELLS_PER_MILLIMETRE), y: Math.round(y * CELLS_PER_MILLIMETRE) };
    const known = this.near(cell);
    if (known) return known;
    const key = keyOf(Math.floor(cell.x / WELD), Math.floor(cell.y / WELD));
    const others = this.laid.get(key);
    if (others) others.push(cell);
    else this.laid.set(key, [cell]);
    return cell;
  }

  private near(cell: Point): Point | undefined {
    const column = Math.floor(cell.x / WELD);
    const row = Math.floor(cell.y / WELD);
    for (let dx = -1; dx <= 1; dx++) {
      for (let dy = -1; dy <= 1; dy++) {
        const found = this.laid
          .get(keyOf(column + dx, row + dy))
          ?.find(({ x, y }) => Math.abs(x - cell.x) <= WELD && Math.abs(y - cell.y) <= WELD);
        if (found) return found;
      }
    }
    return undefined;
  }
}

function keyOf(column: number, row: number): string {
  return `${column} ${row}`;
}

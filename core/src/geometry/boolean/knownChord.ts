import { distanceToChord } from "../chordDistance";
import { pointAt } from "../cubic";
import type { Point } from "../point";
import { ON_CHORD, type Chord } from "./chordIndex";
import type { Loop } from "./loop";
import { CELLS_PER_MILLIMETRE, type Facets, type FlattenedCurve } from "./facets";

type Vertex = Loop[number];

/** A place on a curve that was just arrived at. */
interface Place {
  readonly curve: number;
  readonly t: number;
}

/**
 * The chord on which an edge lies, where it goes on along the curve just travelled, or where one of its ends is a vertex
 * and it lies on a chord there; null where all chords must be searched.
 */
export function knownChord(p: Vertex, q: Vertex, arrived: Place | null, facets: Facets): Chord | null {
  const tried = (curve: number, chord: number): Chord | null => {
    const source = facets.curves[curve];
    if (!source || chord < 0 || chord >= source.chords) return null;
    const start = cellAt(source, chord);
    const end = cellAt(source, chord + 1);
    const isOn = (point: Point) => distanceToChord(point, start, end) <= ON_CHORD;
    return isOn(p) && isOn(q) ? { curve, chord, start, end } : null;
  };
  // The chord that leaves a vertex, or the one that arrives there.
  const atVertex = (vertex: number): Chord | null => {
    if (vertex === 0) return null;
    const [curve, chord] = [facets.curveOf[vertex] ?? -1, facets.chordOf[vertex] ?? 0];
    if (chord > 0) return tried(curve, chord) ?? tried(curve, chord - 1);
    const before = facets.curves[curve]?.before ?? -1;
    return tried(curve, chord) ?? tried(before, (facets.curves[before]?.chords ?? 0) - 1);
  };
  return (arrived && goingOn(arrived, facets, tried)) ?? atVertex(p.vertex) ?? atVertex(q.vertex);
}

/** The chord a place of a curve is on, or one beside it. */
function goingOn(
  { curve, t }: Place,
  { curves }: Facets,
  tried: (curve: number, chord: number) => Chord | null,
): Chord | null {
  const at = Math.floor(t * (curves[curve]?.chords ?? 0));
  return tried(curve, at) ?? tried(curve, at - 1) ?? tried(curve, at + 1);
}

/** Where a chord begins, in cells. */
function cellAt({ cubic, chords }: FlattenedCurve, chord: number): Point {
  const { x, y } = pointAt(cubic, chord / chords);
  return { x: x * CELLS_PER_MILLIMETRE, y: y * CELLS_PER_MILLIMETRE };
}

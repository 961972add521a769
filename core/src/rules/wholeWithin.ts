import Flatbush from "flatbush";
import type { Area } from "../geometry/area";
import { boxOfPoints, growBox, meets } from "../geometry/box";
import { flattenPath } from "../geometry/flatten";
import { apply, sizeOf, type Matrix } from "../geometry/matrix";
import { boxOfPath, type Path } from "../geometry/path";
import { windingOf, type Chord } from "../geometry/winding";

/** Outlines are looked at by chords true to this share of their size. */
const FINE = 1 / 400;

/** What is set down somewhere as a whole: its outline, and how far its paint reaches beyond. Millimetres. */
export interface Footprint {
  /** In its own space. */
  readonly chords: readonly Chord[];
  /** How far its lines reach beyond its outline when it is so many times as large. */
  reach: (size: number) => number;
}

/** The footprint of outlines painted so far beyond. */
export function footprintOf(path: Path, reach: Footprint["reach"]): Footprint {
  const { left, top, right, bottom } = boxOfPath(path);
  const within = Math.max(1e-6, Math.max(right - left, bottom - top) * FINE);
  const chords = flattenPath(path, within).flatMap((points) =>
    points.flatMap((to, k): Chord[] => {
      const from = k > 0 ? points[k - 1] : undefined;
      return from ? [[from, to]] : [];
    }),
  );
  return { chords, reach };
}

/** Whether all of it lies in an area where it is set down. */
export function liesWithin(footprint: Footprint, area: Area, matrix: Matrix): boolean {
  const placed = setDown(footprint, matrix);
  if (!area.bounds(placed.around)) return placed.chords.every(([from]) => area.contains(from));
  return placed.chords.every((chord) => area.contains(chord[0]) && !isCrossed(chord, area, placed.reach));
}

/** Whether none of it lies over an area where it is set down, and nothing of the area within it. */
function liesOff(footprint: Footprint, area: Area, matrix: Matrix): boolean {
  const { chords, around, reach } = setDown(footprint, matrix);
  if (!area.bounds(around)) return chords.every(([from]) => !area.contains(from));
  if (!chords.every((chord) => !area.contains(chord[0]) && !isCrossed(chord, area, reach))) return false;
  // No edge crosses another, so an outline of the area lies within it as a whole or not at all.
  return area.path.every(({ coordinates: [x = 0, y = 0] }) => {
    const isNear = meets(around, { left: x, top: y, right: x, bottom: y });
    return !isNear || windingOf(chords, { x, y }) === 0;
  });
}

/** The areas that something comes near where it is set down. */
export class AreasNear {
  private readonly index: Flatbush | null;

  constructor(private readonly areas: readonly Area[]) {
    const own = areas.length > 0 ? new Flatbush(areas.length) : null;
    for (const { box } of areas) own?.add(box.left, box.top, box.right, box.bottom);
    own?.finish();
    this.index = own;
  }

  /** Whether it lies off all of them. */
  areLeftFree(footprint: Footprint, matrix: Matrix): boolean {
    if (!this.index) return true;
    const { left, top, right, bottom } = setDown(footprint, matrix).around;
    return this.index.search(left, top, right, bottom).every((area) => {
      const own = this.areas[area];
      return !own || liesOff(footprint, own, matrix);
    });
  }
}

function isCrossed(chord: Chord, area: Area, reach: number): boolean {
  return area.bounds(growBox(boxOfPoints(chord), reach));
}

function setDown(footprint: Footprint, matrix: Matrix) {
  const chords = footprint.chords.map(([from, to]): Chord => [apply(matrix, from), apply(matrix, to)]);
  const reach = footprint.reach(sizeOf(matrix));
  return { chords, reach, around: growBox(boxOfPoints(chords.flat()), reach) };
}

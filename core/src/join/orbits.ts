import type { Face } from "../geometry/arrangement/arrange";
import { at } from "../geometry/at";
import { apply, invert, multiply, type Matrix } from "../geometry/matrix";
import { directionOf, type Point } from "../geometry/point";
import { SquareLists } from "../geometry/squareLists";
import { matrixAt, type Placements } from "../rules/placements";
import { addTo } from "../geometry/keyedLists";

/** Copies above this many are not searched for symmetries; every face is then an orbit of its own. */
const MOST_SEARCHED = 720;
/** Places nearer than this are one, millimetres. */
const NEAR = 0.02;

/**
 * For each face the number of its orbit: faces that maps of the rules, those which carry all copies onto copies,
 * carry onto each other. Orbits are numbered from the centre out.
 */
export function orbitsOf(faces: readonly Face[], placements: Placements, centre: Point): number[] {
  const leader = faces.map((_, face) => face);
  const find = (face: number): number => {
    let top = face;
    while (leader[top] !== top) top = leader[top] ?? top;
    return top;
  };
  const places = new PlaceIndex(faces.map((face) => face.centre));
  for (const map of symmetriesOf(placements)) {
    faces.forEach((face, number) => {
      const other = places.near(apply(map, face.centre), (index) => isAlike(face, faces[index]));
      if (other !== null) leader[Math.max(find(number), find(other))] = Math.min(find(number), find(other));
    });
  }
  return numbered(
    faces.map((_, face) => find(face)),
    faces,
    centre,
  );
}

/** For each face its number among those of its orbit, going clockwise about the centre from the top. */
export function numbersAround(faces: readonly Face[], orbits: readonly number[], centre: Point): number[] {
  const members = new Map<number, number[]>();
  orbits.forEach((orbit, face) => addTo(members, orbit, face));
  const numbers = faces.map(() => 0);
  for (const own of members.values()) {
    const angleOf = (face: number) => {
      const angle = directionOf(centre, faces[face]?.centre ?? centre);
      // One straight up may come out a hair short of a full turn.
      return angle > 359.9 ? 0 : angle;
    };
    own.sort((a, b) => angleOf(a) - angleOf(b) || a - b).forEach((face, number) => (numbers[face] = number));
  }
  return numbers;
}

function isAlike(a: Face, b: Face | undefined): boolean {
  return b !== undefined && Math.abs(a.area - b.area) <= 1e-3 * Math.max(a.area, 1);
}

/** Maps from copy to copy that carry the set of all copies onto itself. */
function symmetriesOf(placements: Placements): Matrix[] {
  const { count, matrices } = placements;
  const first = count > 0 ? invert(matrixAt(matrices, 0)) : null;
  if (!first || count > MOST_SEARCHED || placements.shapeOf) return [];
  const keyOf = (matrix: Matrix) => matrix.map((entry) => Math.round(entry * 200)).join();
  const known = new Set<string>();
  for (let copy = 0; copy < count; copy++) {
    const [a, b, c, d, e, f] = matrixAt(matrices, copy);
    // Rounding may fall to either side: neighbouring cells of the offset are known too.
    for (const dx of [-0.0025, 0.0025])
      for (const dy of [-0.0025, 0.0025]) known.add(keyOf([a, b, c, d, e + dx, f + dy]));
  }
  const maps: Matrix[] = [];
  for (let copy = 1; copy < count; copy++) {
    const map = multiply(matrixAt(matrices, copy), first);
    let all = true;
    for (let other = 0; other < count && all; other++) {
      const [a, b, c, d, e, f] = multiply(map, matrixAt(matrices, other));
      all = [-0.0025, 0.0025].some((dx) =>
        [-0.0025, 0.0025].some((dy) => known.has(keyOf([a, b, c, d, e + dx, f + dy]))),
      );
    }
    if (all) maps.push(map);
  }
  return maps;
}

function numbered(leaders: readonly number[], faces: readonly Face[], centre: Point): number[] {
  const distanceOf = (face: number) => {
    const place = faces[face]?.centre ?? centre;
    return Math.hypot(place.x - centre.x, place.y - centre.y);
  };
  const order = [...new Set(leaders)].sort((a, b) => {
    const apart = distanceOf(a) - distanceOf(b);
    return Math.abs(apart) > NEAR ? apart : a - b;
  });
  const numbers = new Map(order.map((leader, number) => [leader, number]));
  return leaders.map((leader) => numbers.get(leader) ?? 0);
}

/** Finds a place by its neighbourhood. */
class PlaceIndex {
  private readonly squares = new SquareLists();

  constructor(private readonly places: readonly Point[]) {
    places.forEach(({ x, y }, index) => this.squares.add(Math.round(x / NEAR), Math.round(y / NEAR), index));
  }

  near({ x, y }: Point, fits: (index: number) => boolean): number | null {
    const [column, row] = [Math.round(x / NEAR), Math.round(y / NEAR)];
    let found: number | null = null;
    const isIt = (index: number) => {
      const place = at(this.places, index);
      if (Math.hypot(place.x - x, place.y - y) > NEAR || !fits(index)) return false;
      found = index;
      return true;
    };
    for (let dx = -1; dx <= 1; dx++) {
      for (let dy = -1; dy <= 1; dy++) if (this.squares.some(column + dx, row + dy, isIt)) return found;
    }
    return null;
  }
}

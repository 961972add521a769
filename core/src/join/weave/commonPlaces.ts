import { at } from "../../geometry/at";
import { combine } from "../../geometry/boolean/boolean";
import { isEmpty, meets, type Box } from "../../geometry/box";
import { componentsOf } from "../../geometry/components";
import { offsetPath } from "../../geometry/offset/offset";
import { once } from "../../geometry/once";
import { areaOfPath, boxOfPath, type Path } from "../../geometry/path";

/** A place two bands have in common. */
export interface CommonPlace {
  /** What they have in common there: one area, or several that the gap makes one. */
  readonly region: Path;
  /** What is taken from the first band where the second lies over it, and the other way round. */
  readonly taken: readonly [Path, Path];
}

/** A band, and the same grown by the gap all round; each worked out when first asked for. */
export interface GapBand {
  readonly area: () => Path;
  readonly widened: () => Path;
}

/** A band with a gap (millimetres) around it. */
export function gapBand(area: () => Path, gap: number): GapBand {
  return { area, widened: gap === 0 ? area : once(() => offsetPath(area(), gap, "round")) };
}

/** Overlaps smaller than this only touch, square millimetres. */
export const LEAST_AREA = 1e-4;

/** What is taken reaches so far beyond the edge of the band below, so that no sliver of it is left. Millimetres. */
const SPARE = 0.02;

/** Every connected place two bands have in common, with a gap (millimetres) around what lies over. */
export function commonPlaces(one: GapBand, two: GapBand, gap: number): CommonPlace[] {
  const regions = componentsOf(combine([one.area(), two.area()], "intersection")).filter(
    (region) => Math.abs(areaOfPath(region)) > LEAST_AREA,
  );
  if (regions.length === 0) return [];
  const taken = (upper: GapBand, lower: GapBand) =>
    gap === 0 ? regions : componentsOf(combine([upper.widened(), lower.area()], "intersection"));
  const whole = (piece: Path, upper: GapBand) =>
    combine([upper.widened(), offsetPath(piece, SPARE, "miter")], "intersection");
  return gathered(regions, [taken(two, one), taken(one, two)], gap).map(({ region, taken: [ofOne, ofTwo] }) => ({
    region,
    taken: [whole(ofOne, two), whole(ofTwo, one)],
  }));
}

/** A band without what is taken from it, and without specks that the taking leaves. */
export function without(band: Path, taken: readonly Path[]): Path {
  if (taken.length === 0) return band;
  return combine([band, ...taken], "difference").filter((run) => Math.abs(areaOfPath([run])) > LEAST_AREA);
}

/** Regions with what is taken around them; those around which one and the same piece is taken are one. */
function gathered(
  regions: readonly Path[],
  pieces: readonly [readonly Path[], readonly Path[]],
  gap: number,
): CommonPlace[] {
  const groups: Group[] = [];
  for (const region of regions) {
    const own = pieces.map((some) => around(region, some));
    const shared = groups.filter((group) =>
      group.taken.some((some, side) => own[side]?.some((piece) => some.has(piece))),
    );
    const [group = { regions: [], taken: [new Set(), new Set()] }, ...others] = shared;
    if (shared.length === 0) groups.push(group);
    for (const other of others) {
      groups.splice(groups.indexOf(other), 1);
      group.regions.push(...other.regions);
      group.taken.forEach((some, side) => other.taken[side]?.forEach((piece) => some.add(piece)));
    }
    group.regions.push(region);
    group.taken.forEach((some, side) => own[side]?.forEach((piece) => some.add(piece)));
  }
  addNear(groups, pieces, gap);
  return groups.map(({ regions: own, taken: [one, two] }) => ({
    region: own.flat(),
    taken: [[...one].flat(), [...two].flat()],
  }));
}

/** Regions that are one place, and the pieces that are taken there from the first band and from the second. */
interface Group {
  readonly regions: Path[];
  readonly taken: readonly [Set<Path>, Set<Path>];
}

/** Where bands come within the gap of each other beside a place without lying over each other, what is too near is taken there too. */
function addNear(groups: readonly Group[], pieces: readonly [readonly Path[], readonly Path[]], gap: number): void {
  const about = groups.map(({ regions }) =>
    once(() => regions.flatMap((region) => offsetPath(region, 2 * gap, "round"))),
  );
  pieces.forEach((some, side) => {
    const left = some.filter((piece) => !groups.some(({ taken }) => taken[side]?.has(piece)));
    for (const piece of left) {
      groups.forEach(({ taken }, k) => touch(piece, at(about, k)()) && taken[side]?.add(piece));
    }
  });
}

/** The pieces that have to do with a region. */
function around(region: Path, pieces: readonly Path[]): readonly Path[] {
  return pieces.length < 2 ? pieces : pieces.filter((piece) => piece === region || touch(piece, region));
}

function touch(a: Path, b: Path): boolean {
  return mayMeet(boxOfPath(a), boxOfPath(b)) && combine([a, b], "intersection").length > 0;
}

/** Whether two boxes have a place in common. */
export function mayMeet(a: Box | undefined, b: Box | undefined): boolean {
  return a !== undefined && b !== undefined && !isEmpty(a) && !isEmpty(b) && meets(a, b);
}

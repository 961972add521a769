import { at } from "../geometry/at";

/** What copies carry beside their place and their outline, a number each; null where it is the same for all. */
export interface Carried {
  /** Height above the bed in millimetres; null when every copy lies on it. */
  readonly rise: Float64Array | null;
  /** Scale of height; null when it is 1 for every copy. */
  readonly zScale: Float64Array | null;
  /** How far the tip rises, degrees, beside what the part's solid says; null when it is 0 for every copy. */
  readonly tiltX: Float64Array | null;
  /** The same of the right side. */
  readonly tiltY: Float64Array | null;
  /** Opacity, 0…1; null when all have the finish's. */
  readonly opacity: Float64Array | null;
  /** Where it stands along its paint's ramp, 0…1; null where no rule says. */
  readonly paint: Float64Array | null;
}

/** How what a rule gives its copies goes together with what they carried before. */
interface Trait {
  /** What holds where nothing is said. */
  readonly none: number;
  together: (before: number, own: number) => number;
}

const TRAITS: Readonly<Record<keyof Carried, Trait>> = {
  rise: { none: 0, together: (before, own) => before + own },
  zScale: { none: 1, together: (before, own) => before * own },
  tiltX: { none: 0, together: (before, own) => before + own },
  tiltY: { none: 0, together: (before, own) => before + own },
  opacity: { none: 1, together: (before, own) => before * own },
  // The last rule that says where on the ramp copies stand is right.
  paint: { none: 0, together: (_before, own) => own },
};

/** Copies that carry nothing. */
export const NOTHING_CARRIED: Carried = everyTrait(() => null);

/** Of every trait what is made of it. */
function everyTrait<T>(valueOf: (name: keyof Carried, trait: Trait) => T): Readonly<Record<keyof Carried, T>> {
  return {
    rise: valueOf("rise", TRAITS.rise),
    zScale: valueOf("zScale", TRAITS.zScale),
    tiltX: valueOf("tiltX", TRAITS.tiltX),
    tiltY: valueOf("tiltY", TRAITS.tiltY),
    opacity: valueOf("opacity", TRAITS.opacity),
    paint: valueOf("paint", TRAITS.paint),
  };
}

/** Copies carry on what they carried, and one value more of one thing. */
export function carryOn(carried: Carried, name: keyof Carried, own: Float64Array): Float64Array {
  const { none, together } = TRAITS[name];
  return own.map((value, copy) => together(carried[name]?.[copy] ?? none, value));
}

/** Whether two copies carry the same to within a tolerance, save how they are painted. */
export function carrySameHeight(carried: Carried, a: number, b: number, tolerance: number): boolean {
  return HEIGHT_TRAITS.every((name) => {
    const values = carried[name];
    return values === null || Math.abs(at(values, a) - at(values, b)) <= tolerance;
  });
}

const HEIGHT_TRAITS = ["rise", "zScale", "tiltX", "tiltY"] as const;

/** What the copies of the given numbers carry, in that order. */
export function pickCarried(carried: Carried, copies: ArrayLike<number>): Carried {
  return everyTrait((name) => {
    const values = carried[name];
    return values && Float64Array.from(copies, (copy) => at(values, copy));
  });
}

/** What the product of a rule with a group carries: for each of its `copies` what all `size` copies of the group carried. */
export function repeatCarried(group: Carried, own: Partial<Carried>, copies: number, size: number): Carried {
  if (!isCarrying(group) && !isCarrying(own)) return NOTHING_CARRIED;
  return everyTrait((name, { none, together }) => {
    const [before, given] = [group[name], own[name] ?? null];
    if (!before && !given) return null;
    return Float64Array.from({ length: copies * size }, (_, copy) => {
      const inner = before ? at(before, copy % size) : none;
      return given ? together(inner, at(given, Math.floor(copy / size))) : inner;
    });
  });
}

/** Whether copies carry anything. */
function isCarrying({ rise, zScale, tiltX, tiltY, opacity, paint }: Partial<Carried>): boolean {
  return Boolean(rise ?? zScale ?? tiltX ?? tiltY ?? opacity ?? paint);
}

/** What one copy carries, everything said. */
export function carriedBy(carried: Carried, copy: number): Readonly<Record<keyof Carried, number>> {
  return everyTrait((name, { none }) => carried[name]?.[copy] ?? none);
}

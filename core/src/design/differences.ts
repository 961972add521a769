import { isRecord, isSame } from "../fields/stored";
import { DESIGN, type Design } from "./design";
import { forgetPart } from "./names";
import type { Part } from "./partFields";

/** One thing in which two designs differ. */
export interface Difference {
  /** What it is about: a value, a part that only one of them has, or the order the parts lie in. */
  readonly kind: "value" | "added" | "removed" | "order";
  /** The id of the part it is in; null where it is in none. */
  readonly part: string | null;
  /** Where it is: keys and numbers from the design down, or from the part. */
  readonly at: readonly (string | number)[];
  /** What the one has there; undefined where it has nothing. */
  readonly before: unknown;
  /** What the other has there. */
  readonly after: unknown;
}

/**
 * What has to be changed in one design for it to be another, in an order in which it can be: parts are matched by their ids,
 * named numbers and colours by their names. Values that are of another shape differ as a whole.
 */
export function differencesBetween(from: Design, to: Design): Difference[] {
  const own = Object.keys(DESIGN.fields).filter((key) => key !== "parts" && key !== "format");
  const values = own.flatMap((key) => within(null, [key], entry(from, key), entry(to, key)));
  return [...values, ...partDifferences(from.parts, to.parts)];
}

function partDifferences(from: readonly Part[], to: readonly Part[]): Difference[] {
  const known = new Map(from.map((part) => [part.id, part]));
  const wanted = new Set(to.map(({ id }) => id));
  const about = (kind: Difference["kind"], part: string, before: unknown, after: unknown): Difference => {
    return { kind, part, at: [], before, after };
  };
  const removed = from.filter(({ id }) => !wanted.has(id));
  const added = to.filter(({ id }) => !known.has(id));
  const changed = to.flatMap((part) => {
    const before = known.get(part.id);
    return before
      ? Object.keys(part).flatMap((key) => within(part.id, [key], entry(before, key), entry(part, key)))
      : [];
  });
  const stands = [...from.map(({ id }) => id).filter((id) => wanted.has(id)), ...added.map(({ id }) => id)];
  const order = to.map(({ id }) => id);
  return [
    ...changed,
    ...removed.map((part) => about("removed", part.id, part, undefined)),
    ...added.map((part) => about("added", part.id, undefined, part)),
    ...(isSame(stands, order)
      ? []
      : [{ kind: "order", part: null, at: ["parts"], before: stands, after: order } as const]),
  ];
}

/** Differences of two values at a place: entry by entry where both are made alike, else as a whole. */
function within(part: string | null, at: Difference["at"], before: unknown, after: unknown): Difference[] {
  if (isSame(before, after)) return [];
  if (isRecord(before) && isRecord(after) && before.kind === after.kind && isOneThing(before) && isOneThing(after)) {
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
    return keys.flatMap((key) => within(part, [...at, key], before[key], after[key]));
  }
  if (isList(before) && isList(after) && isAlike(before, after)) {
    return before.flatMap((entry, index) => within(part, [...at, index], entry, after[index]));
  }
  return [{ kind: "value", part, at, before, after }];
}

/** Pairs such as points are one value. */
function isOneThing(value: Readonly<Record<string, unknown>>): boolean {
  return !("x" in value && "y" in value && Object.keys(value).length === 2);
}

/** Whether two lists hold the same things one by one, of the same kinds or names. */
function isAlike(a: readonly unknown[], b: readonly unknown[]): boolean {
  return a.length === b.length && a.every((one, index) => nameOf(one) !== null && nameOf(one) === nameOf(b[index]));
}

function nameOf(value: unknown): string | null {
  if (!isRecord(value)) return null;
  const name = value.kind ?? value.name;
  return typeof name === "string" ? name : null;
}

/** A design with one difference taken over. */
export function withDifference(design: Design, { kind, part: id, at, after }: Difference): Design {
  if (kind === "removed" && id !== null) {
    return forgetPart({ ...design, parts: design.parts.filter((part) => part.id !== id) }, id);
  }
  if (kind === "added") return isPart(after) ? { ...design, parts: [...design.parts, after] } : design;
  if (kind === "order") return { ...design, parts: inOrder(design.parts, after) };
  if (id === null) return whole(set(design, at, after));
  return {
    ...design,
    parts: design.parts.map((part) => {
      const next = part.id === id ? set(part, at, after) : part;
      return isPart(next) ? next : part;
    }),
  };
}

/** Parts in another order; those it does not name stay on top. */
function inOrder(parts: readonly Part[], order: unknown): readonly Part[] {
  const place = new Map(isList(order) ? order.map((id, index) => [id, index]) : []);
  return [...parts].sort((a, b) => (place.get(a.id) ?? Infinity) - (place.get(b.id) ?? Infinity) || 0);
}

/** A value with another one at a place within it; undefined takes it out. */
function set(value: unknown, [key, ...rest]: Difference["at"], next: unknown): unknown {
  if (key === undefined) return next;
  if (isList(value) && typeof key === "number") {
    return value.map((entry, index) => (index === key ? set(entry, rest, next) : entry));
  }
  if (!isRecord(value)) return value;
  const changed: unknown = set(value[key], rest, next);
  const { [key]: _gone, ...others } = value;
  return changed === undefined ? others : { ...value, [key]: changed };
}

function entry(holder: object, key: string): unknown {
  return isRecord(holder) ? holder[key] : undefined;
}

function whole(value: unknown): Design {
  if (isRecord(value) && "parts" in value && isDesign(value)) return value;
  throw new Error("a design cannot be changed into none");
}

function isDesign(value: object): value is Design {
  return "format" in value;
}

function isPart(value: unknown): value is Part {
  return isRecord(value) && "motif" in value;
}

function isList(value: unknown): value is readonly unknown[] {
  return Array.isArray(value);
}

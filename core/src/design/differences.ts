import { isRecord, isSame } from "../fields/stored";
import { DESIGN, type Design } from "./design";
import { matchEntries, type MatchedEntries } from "./matchedEntries";
import { forgetPart } from "./names";
import type { Part } from "./partFields";

/** One thing in which two designs differ. */
export interface Difference {
  /** What it is about: a value, a part or an entry of a list that only one of them has, or the order they are in. */
  readonly kind: "value" | "added" | "removed" | "order";
  /** The id of the part it is in; null where it is in none. */
  readonly part: string | null;
  /** Where it is: keys and numbers from the design down, or from the part. */
  readonly at: readonly (string | number)[];
  /** What the one has there; undefined where it has nothing. */
  readonly before: unknown;
  /** What the other has there. */
  readonly after: unknown;
  /** Of an entry that is put into a list: where it stands by itself, and what is before it once all before it is there. */
  readonly place?: { readonly alone: number; readonly follows: readonly unknown[] };
}

/**
 * What has to be changed in one design for it to be another, in an order in which it can be: parts are matched by their ids,
 * rules by their kinds and places, named numbers and colours by their names. Values that are of another shape differ as a whole.
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
  if (isList(before) && isList(after) && [...before, ...after].every((one) => nameOf(one) !== null)) {
    return listDifferences(part, at, before, after);
  }
  return [{ kind: "value", part, at, before, after }];
}

/** Pairs such as points are one value. */
function isOneThing(value: Readonly<Record<string, unknown>>): boolean {
  return !("x" in value && "y" in value && Object.keys(value).length === 2);
}

/**
 * Differences of two lists of named or kindred things. Values come first, at the places of the one list; then what is taken out of
 * it, the last first; then the order of what stays; then what is put in, at the places of the other.
 */
function listDifferences(
  part: string | null,
  at: Difference["at"],
  from: readonly unknown[],
  to: readonly unknown[],
): Difference[] {
  const { pairs, removed, added } = matchEntries(from, to, nameOf, (a, b) => within(null, [], a, b).length);
  const stays = pairs.map(([i]) => i);
  const order = [...pairs].sort(([, a], [, b]) => a - b).map(([i]) => i);
  return [
    ...pairs.flatMap(([i, j]) => within(part, [...at, i], from[i], to[j])),
    ...removed
      .toReversed()
      .map((i): Difference => ({ kind: "removed", part, at: [...at, i], before: from[i], after: undefined })),
    ...(isSame(stays, order) ? [] : [{ kind: "order", part, at, before: stays, after: order } as const]),
    ...added.map((j): Difference => {
      return { kind: "added", part, at: [...at, j], before: undefined, after: to[j], place: placeIn(pairs, to, j) };
    }),
  ];
}

/** Where an entry of the other list stands in the one: after the nearest before it that both have. */
function placeIn(pairs: MatchedEntries["pairs"], to: readonly unknown[], index: number): Difference["place"] {
  const before = pairs.filter(([, j]) => j < index).sort(([, a], [, b]) => b - a)[0];
  return { alone: before ? before[0] + 1 : 0, follows: to.slice(0, index) };
}

function nameOf(value: unknown): string | null {
  if (!isRecord(value)) return null;
  const name = value.kind ?? value.name;
  return typeof name === "string" ? name : null;
}

/** A design with one difference taken over. */
export function withDifference(design: Design, difference: Difference): Design {
  const { kind, part: id, at, after } = difference;
  if (kind !== "value" && isInList(difference))
    return withChanged(design, id, (holder) => withEntries(holder, difference));
  if (kind === "removed" && id !== null) {
    return forgetPart({ ...design, parts: design.parts.filter((part) => part.id !== id) }, id);
  }
  if (kind === "added") return isPart(after) ? { ...design, parts: [...design.parts, after] } : design;
  if (kind === "order") return { ...design, parts: inOrder(design.parts, after) };
  return withChanged(design, id, (holder) => set(holder, at, after));
}

/** Whether it is about entries of a list, and not about whole parts. */
export function isInList({ part, at }: Difference): boolean {
  return at.length > 0 && (part !== null || at[0] !== "parts");
}

/** A design with one part changed, or itself. */
function withChanged(design: Design, id: string | null, change: (holder: unknown) => unknown): Design {
  if (id === null) return whole(change(design));
  const parts = design.parts.map((part) => {
    const next = part.id === id ? change(part) : part;
    return isPart(next) ? next : part;
  });
  return { ...design, parts };
}

/** What holds a list, with an entry put in or taken out of it, or all in another order. */
function withEntries(holder: unknown, { kind, at, before, after, place: put }: Difference): unknown {
  const place = kind === "order" ? at : at.slice(0, -1);
  const index = Number(at.at(-1));
  const list = get(holder, place);
  if (!isList(list)) return holder;
  if (kind === "removed") return set(holder, place, list.toSpliced(index, 1));
  if (kind === "added") {
    const isComplete = isSame(list.slice(0, index), put?.follows);
    return set(holder, place, list.toSpliced(isComplete ? index : (put?.alone ?? index), 0, after));
  }
  return set(holder, place, reordered(list, before, after));
}

/** Entries in another order. `before` are the places of those that stay; what is to be taken out may be among them still. */
function reordered(list: readonly unknown[], before: unknown, after: unknown): readonly unknown[] {
  if (!isNumbers(before) || !isNumbers(after)) return list;
  const isAlone = list.length === before.length;
  const placeOf = (number: number) => (isAlone ? before.indexOf(number) : number);
  const next = [...list];
  before.forEach((number, k) => {
    next[placeOf(number)] = list[placeOf(after[k] ?? number)];
  });
  return next;
}

function isNumbers(value: unknown): value is readonly number[] {
  return isList(value) && value.every((one) => typeof one === "number");
}

/** The value at a place within another. */
function get(value: unknown, [key, ...rest]: Difference["at"]): unknown {
  if (key === undefined) return value;
  if (isList(value)) return get(value[Number(key)], rest);
  return isRecord(value) ? get(value[key], rest) : undefined;
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

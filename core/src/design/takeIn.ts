import { paletteNameOf, paletteReference } from "../fields/colors";
import { MOST_COLORS, MOST_GROUPS, MOST_NUMBERS, MOST_PARTS } from "../fields/most";
import { isSame } from "../fields/stored";
import { namesIn } from "../formula/namesIn";
import { replaceName } from "../formula/rewrite";
import type { Design } from "./design";
import { membersOfGroups, partsNamed } from "./groups";
import { needsOfPart } from "./names";
import type { Part } from "./partFields";
import { rewriteDesign } from "./rewrite";

/** A design with another's parts taken in. */
export interface TakenIn {
  /** The whole. */
  readonly design: Design;
  /** The ids that the parts which were brought have now, from the bottom up. */
  readonly parts: readonly string[];
}

/**
 * Another design's parts on top of one's own, with the numbers and the colours they need. What both have alike is shared, parts
 * that others follow too; what is called the same and differs gets a name of its own. Fails in words where a list would grow
 * beyond its limit.
 */
export function takeIn(own: Design, other: Design): TakenIn | { readonly trouble: string } {
  const numbers = renamings(own.numbers, other.numbers, freshWith("", 30), ({ value }, changed) =>
    // A formula that reads the same means something else where a number it uses does.
    typeof value === "string" ? namesIn(value).some((name) => changed.has(name)) : false,
  );
  const colors = renamings(own.palette, other.palette, freshWith(" ", 36));
  const named = rewriteDesign(other, {
    formula: (formula, _path, bound) =>
      [...numbers].reduce((text, [from, to]) => (bound.includes(from) ? text : replaceName(text, from, to)), formula),
    color(color) {
      const name = paletteNameOf(color);
      const next = name === null ? undefined : colors.get(name);
      return next === undefined ? color : paletteReference(next);
    },
  });
  const shared = sharedParts(own, named);
  const members = membersOfGroups(named);
  const isShared = (id: string) => partsNamed(members, id).every((part) => shared.has(part));
  const ids = freshIds(own, other, isShared);
  const renamed = rewriteDesign(named, { part: (id) => ids.get(id) ?? id });
  const names = own.parts.map(({ name }) => name);
  const brought = renamed.parts.filter(({ id }) => !shared.has(id));
  const groups = renamed.groups
    .filter(({ id }) => !isShared(id))
    .map((group) => ({ ...group, id: ids.get(group.id) ?? group.id }));
  const parts = brought.map((part) => {
    const name = freshWith(" ", 112)(part.name, names);
    names.push(name);
    return { ...part, id: ids.get(part.id) ?? part.id, name };
  });
  const design = {
    ...own,
    numbers: [...own.numbers, ...added(own.numbers, renamed.numbers, numbers)],
    palette: [...own.palette, ...added(own.palette, renamed.palette, colors)],
    groups: [...own.groups, ...groups],
    parts: [...own.parts, ...parts],
  };
  const trouble = tooMany(design);
  return trouble ? { trouble } : { design, parts: parts.map(({ id }) => id) };
}

/** Ids of parts that others of theirs follow, and that are here already, with all that they follow in turn. */
function sharedParts(own: Design, theirs: Design): ReadonlySet<string> {
  const [here, members] = [membersOfGroups(own), membersOfGroups(theirs)];
  const named = (ids: readonly string[]) => ids.flatMap((id) => partsNamed(members, id));
  const follows = new Map(theirs.parts.map((part) => [part.id, named(needsOfPart(part).parts)]));
  const followed = new Set([...follows.values()].flat());
  const isHere = (part: Part) => own.parts.some((known) => isSame({ ...known, group: "" }, { ...part, group: "" }));
  const shared = new Set(theirs.parts.filter((part) => followed.has(part.id) && isHere(part)).map(({ id }) => id));
  const isMissing = (id: string) => follows.has(id) && !shared.has(id);
  for (let before = -1; before !== shared.size;) {
    before = shared.size;
    for (const id of shared) if (follows.get(id)?.some(isMissing)) shared.delete(id);
    // A group is shared as a whole, or not at all.
    for (const [group, ids] of members) {
      if (ids.some(isMissing) || !isSame(here.get(group), ids)) ids.forEach((id) => shared.delete(id));
    }
  }
  return shared;
}

/** New ids for parts and groups that are called as something else is already. */
function freshIds(own: Design, other: Design, isShared: (id: string) => boolean): ReadonlyMap<string, string> {
  const idsOf = ({ parts, groups }: Design) => [...parts, ...groups].map(({ id }) => id);
  const here = new Set(idsOf(own));
  const taken = [...here, ...idsOf(other)];
  const ids = new Map<string, string>();
  for (const id of idsOf(other)) {
    if (isShared(id) || !here.has(id)) continue;
    const next = freshWith("-", 34)(id, taken);
    ids.set(id, next);
    taken.push(next);
  }
  return ids;
}

interface Named {
  readonly name: string;
}

/** New names for what is called as something else is already; `means` tells whether an entry means another thing by now. */
function renamings<T extends Named>(
  own: readonly T[],
  other: readonly T[],
  fresh: (name: string, taken: readonly string[]) => string,
  means: (entry: T, changed: ReadonlyMap<string, string>) => boolean = () => false,
): ReadonlyMap<string, string> {
  const renamed = new Map<string, string>();
  const taken = [...own, ...other].map(({ name }) => name);
  const clashes = (entry: T) => {
    const known = own.find(({ name }) => name === entry.name);
    return known !== undefined && (!isSame(known, entry) || means(entry, renamed));
  };
  for (let before = -1; before < renamed.size;) {
    before = renamed.size;
    for (const entry of other) {
      if (renamed.has(entry.name) || !clashes(entry)) continue;
      const name = fresh(entry.name, taken);
      renamed.set(entry.name, name);
      taken.push(name);
    }
  }
  return renamed;
}

/** What is not there yet, under its new name. `renamed` has the values rewritten, the names as they were. */
function added<T extends Named>(own: readonly T[], renamed: readonly T[], names: ReadonlyMap<string, string>): T[] {
  const known = new Set(own.map(({ name }) => name));
  return renamed
    .map((entry) => ({ ...entry, name: names.get(entry.name) ?? entry.name }))
    .filter(({ name }) => !known.has(name));
}

/** A name with the first free number behind it, its own letters cut to so many. */
const freshWith =
  (between: string, longest: number) =>
  (name: string, taken: readonly string[]): string => {
    if (!taken.includes(name)) return name;
    let number = 2;
    const stem = name.slice(0, longest);
    while (taken.includes(`${stem}${between}${number}`)) number += 1;
    return `${stem}${between}${number}`;
  };

function tooMany({ parts, groups, numbers, palette }: Design): string | null {
  if (parts.length > MOST_PARTS) return `a design has at most ${MOST_PARTS} parts`;
  if (groups.length > MOST_GROUPS) return `a design has at most ${MOST_GROUPS} groups`;
  if (numbers.length > MOST_NUMBERS) return `a design has at most ${MOST_NUMBERS} named numbers`;
  return palette.length > MOST_COLORS ? `a design has at most ${MOST_COLORS} named colours` : null;
}

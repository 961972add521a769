import { namesIn } from "../formula/namesIn";
import { replaceName } from "../formula/rewrite";
import { paletteNameOf } from "../fields/colors";
import { emptyDesign, type Design } from "./design";
import { membersOfGroups, type GroupMembers } from "./groups";
import type { Part } from "./partFields";
import { rewriteDesign, rewritePart, type DesignRewriting } from "./rewrite";

/** A design in which every formula that uses a number has another text in the number's place. */
export function replaceNumber(design: Design, name: string, replacement: string): Design {
  return rewriteDesign(design, {
    // Where a copy's own value has that name, the formula means that one.
    formula: (formula, _path, bound) => (bound.includes(name) ? formula : replaceName(formula, name, replacement)),
  });
}

/** A design in which nothing follows a part any more. */
export function forgetPart(design: Design, id: string): Design {
  return rewriteDesign(design, { part: (named) => (named === id ? undefined : named) });
}

/** For each named number the paths of the formulas that use it. */
export function usesOfNumbers(design: Design): ReadonlyMap<string, readonly string[]> {
  const uses = new Map<string, string[]>();
  rewriteDesign(design, {
    formula(formula, path, bound) {
      for (const name of namesIn(formula)) {
        if (!bound.includes(name)) uses.set(name, [...(uses.get(name) ?? []), path]);
      }
      return formula;
    },
  });
  return uses;
}

/** What one part needs of the design it stands in: numbers, palette colours, and parts it follows. */
interface PartNeeds {
  readonly numbers: readonly string[];
  readonly colors: readonly string[];
  readonly parts: readonly string[];
}

/** Names a part uses, each once, in the order they are met. */
export function needsOfPart(part: Part): PartNeeds {
  const [numbers, colors, parts] = [new Set<string>(), new Set<string>(), new Set<string>()];
  const gather: DesignRewriting = {
    formula(formula, _path, bound) {
      for (const name of namesIn(formula)) if (!bound.includes(name)) numbers.add(name);
      return formula;
    },
    color(color) {
      const name = paletteNameOf(color);
      if (name !== null) colors.add(name);
      return color;
    },
    part(id, path) {
      // The group a part is in is nothing it follows.
      if (path !== "group") parts.add(id);
      return id;
    },
  };
  rewritePart(part, gather);
  return { numbers: [...numbers], colors: [...colors], parts: [...parts] };
}

/**
 * A design that holds only some parts, with all they need: the parts they follow, the numbers and palette colours that
 * these use, and what those use in turn.
 */
export function detached(design: Design, ids: readonly string[]): Design {
  const wanted = new Set<string>();
  const members = membersOfGroups(design);
  const take = (id: string): void => {
    const part = design.parts.find((known) => known.id === id);
    if (!part) return members.get(id)?.forEach(take);
    if (wanted.has(id)) return;
    wanted.add(id);
    needsOfPart(part).parts.forEach(take);
  };
  ids.forEach(take);
  const { groups, parts } = wholeGroups({ ...design, parts: design.parts.filter(({ id }) => wanted.has(id)) }, members);
  const needs = parts.map(needsOfPart);
  const colors = new Set(needs.flatMap((one) => one.colors));
  return {
    ...design,
    parts,
    groups,
    numbers: numbersNeeded(design, new Set(needs.flatMap((one) => one.numbers))),
    palette: design.palette.filter(({ name }) => colors.has(name)),
    guides: [],
  };
}

/** Only the groups all of whose parts are there; parts of others are in none of them. */
function wholeGroups({ groups, parts }: Design, members: GroupMembers): Pick<Design, "groups" | "parts"> {
  const there = new Set(parts.map(({ id }) => id));
  const isWhole = (id: string) => {
    const own = members.get(id) ?? [];
    return own.length > 0 && own.every((part) => there.has(part));
  };
  const kept = (id: string) => (isWhole(id) ? id : "");
  return {
    groups: groups.filter(({ id }) => isWhole(id)).map((group) => ({ ...group, within: kept(group.within) })),
    parts: parts.map((part) => ({ ...part, group: kept(part.group) })),
  };
}

/** Some parts with all they need as a design of their own, on a plain sheet of the same unit. */
export function bundleOf(design: Design, ids: readonly string[], name: string): Design {
  const { parts, groups, numbers, palette } = detached(design, ids);
  const plain = emptyDesign(name);
  return { ...plain, sheet: { ...plain.sheet, unit: design.sheet.unit }, groups, parts, numbers, palette };
}

/** Named numbers with those their own formulas need. */
function numbersNeeded({ numbers }: Design, names: Set<string>): Design["numbers"] {
  const queue = [...names];
  for (let name = queue.pop(); name !== undefined; name = queue.pop()) {
    const value = numbers.find((known) => known.name === name)?.value;
    for (const needed of typeof value === "string" ? namesIn(value) : []) {
      if (names.has(needed)) continue;
      names.add(needed);
      queue.push(needed);
    }
  }
  return numbers.filter(({ name }) => names.has(name));
}

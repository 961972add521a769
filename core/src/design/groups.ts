import type { Problem } from "../formula/problem";
import { motifOf } from "../motif/list";
import type { Design } from "./design";
import type { PartGroup } from "./groupFields";
import type { Part } from "./partFields";

/** For each group the ids of the parts in it, and in the groups within it, bottom first. */
export type GroupMembers = ReadonlyMap<string, readonly string[]>;

type Grouped = Pick<Design, "groups" | "parts">;

/** The parts of every group. A part is in all groups around it. */
export function membersOfGroups(design: Grouped): GroupMembers {
  const members = new Map<string, string[]>(design.groups.map(({ id }) => [id, []]));
  for (const part of design.parts) {
    for (const { id } of groupsAround(design, part.group)) members.get(id)?.push(part.id);
  }
  return members;
}

/** The groups around something, the innermost first; each once, however they are nested. */
export function groupsAround({ groups }: Pick<Grouped, "groups">, innermost: string): PartGroup[] {
  const around: PartGroup[] = [];
  for (let id = innermost; id !== "";) {
    const group = groups.find((known) => known.id === id);
    if (!group || around.includes(group)) break;
    around.push(group);
    id = group.within;
  }
  return around;
}

/** Whether a part is made by itself: it is shown, and neither it nor a group around it is a tool or a guide. */
export function isMade(design: Pick<Grouped, "groups">, { visible, role, group }: Part): boolean {
  return visible && role === "show" && groupsAround(design, group).every((around) => around.role === "show");
}

/** Whether a part repeats another part, or a group, as a whole. */
export function repeatsWhole({ motif }: Pick<Part, "motif">): boolean {
  return motifOf(motif.kind)?.repeatsWhole ?? false;
}

/** What is wrong with the groups: ids that are parts' too, groups that are not there, groups that are in themselves. */
export function groupProblems(design: Grouped): Problem[] {
  const { groups, parts } = design;
  const partIds = new Set(parts.map(({ id }) => id));
  const known = new Set(groups.map(({ id }) => id));
  const missing = (id: string) => `is in “${id}”, and there is no group of that id; choose another`;
  return [
    ...groups.flatMap(({ id }, index) =>
      partIds.has(id)
        ? [{ path: `groups[${index}].id`, message: `“${id}” is a part’s id already; each needs its own` }]
        : [],
    ),
    ...groups.flatMap((group, index) => {
      const path = `groups[${index}].within`;
      if (group.within !== "" && !known.has(group.within)) return [{ path, message: missing(group.within) }];
      const isInItself = groupsAround(design, group.within).some(({ id }) => id === group.id);
      return isInItself ? [{ path, message: "is in itself by a circle of groups; choose another" }] : [];
    }),
    ...parts.flatMap(({ group }, index) =>
      group !== "" && !known.has(group) ? [{ path: `parts[${index}].group`, message: missing(group) }] : [],
    ),
  ];
}

/** The ids of parts that something named stands for: a group's parts, or the part itself. */
export function partsNamed(members: GroupMembers, id: string): readonly string[] {
  return members.get(id) ?? [id];
}

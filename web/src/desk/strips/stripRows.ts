import { groupsAround, membersOfGroups, type Design, type Part, type PartGroup } from "@twin-petal/core";

/** A row of the strip: a part, or the name of a group whose parts come next. */
export type StripRow =
  | { readonly kind: "part"; readonly part: Part; readonly depth: number }
  | { readonly kind: "group"; readonly group: PartGroup; readonly members: readonly Part[]; readonly depth: number };

/** The parts from the top down, each group named where its parts begin. */
export function stripRows(design: Design): StripRow[] {
  const members = membersOfGroups(design);
  const partOf = new Map(design.parts.map((part) => [part.id, part]));
  const rows: StripRow[] = [];
  let above: readonly PartGroup[] = [];
  for (const part of design.parts.toReversed()) {
    const around = groupsAround(design, part.group).toReversed();
    const begun = around.findIndex((group, depth) => group !== above[depth]);
    around.slice(begun < 0 ? around.length : begun).forEach((group, index) => {
      const own = (members.get(group.id) ?? []).flatMap((id) => partOf.get(id) ?? []);
      rows.push({ kind: "group", group, members: own, depth: begun + index });
    });
    rows.push({ kind: "part", part, depth: around.length });
    above = around;
  }
  return rows;
}

import { forgetPart, groupsAround, membersOfGroups, type Design, type PartGroup } from "@twin-petal/core";
import { castDraft, current, type Draft } from "immer";
import type { Edit } from "../edit";
import { freshId } from "./freshId";
import { repeatedWhole } from "./repeatedWhole";

/** The group that some parts are, all of them and no other; the outermost where several are. */
export function groupOf(design: Design, ids: readonly string[]): PartGroup | null {
  const members = membersOfGroups(design);
  const isIt = ({ id }: PartGroup) => {
    const own = members.get(id) ?? [];
    return own.length > 0 && own.length === ids.length && own.every((part) => ids.includes(part));
  };
  const first = design.parts.find(({ id }) => ids.includes(id));
  return first ? (groupsAround(design, first.group).findLast(isIt) ?? null) : null;
}

/**
 * Parts put together under a name, where the topmost of them lies. Groups that are among them whole stay groups within it; it
 * lies itself in the group all of them are in.
 */
export function groupParts(design: Design, ids: readonly string[]): { edit: Edit; id: string } {
  const id = freshId(design, "group");
  const name = freshGroupName(design);
  const members = membersOfGroups(design);
  const isWhole = (group: PartGroup) => members.get(group.id)?.every((part) => ids.includes(part)) ?? false;
  const chosen = design.parts.filter((part) => ids.includes(part.id));
  const around = chosen.map(({ group }) => groupsAround(design, group).filter((one) => !isWhole(one)));
  const within = around[0]?.find((one) => around.every((others) => others.includes(one)))?.id ?? "";
  return {
    id,
    edit: {
      label: `group ${chosen.length} parts`,
      apply(draft) {
        const before = current(draft);
        draft.groups.push({ id, name, within, role: "show" });
        for (const part of draft.parts) {
          if (!ids.includes(part.id)) continue;
          const outermost = groupsAround(before, part.group).findLast(isWhole);
          if (!outermost) part.group = id;
          else for (const group of draft.groups) if (group.id === outermost.id) group.within = id;
        }
        gather(draft, ids);
        dropEmptyGroups(draft);
      },
    },
  };
}

function freshGroupName(design: Design): string {
  const taken = new Set(design.groups.map(({ name }) => name));
  for (let number = 1; ; number++) {
    const name = number === 1 ? "Group" : `Group ${number}`;
    if (!taken.has(name)) return name;
  }
}

/** Brings parts together below the topmost of them. */
export function gather(draft: Draft<Design>, ids: readonly string[]): void {
  const top = draft.parts.findLastIndex(({ id }) => ids.includes(id));
  const isChosen = ({ id }: { readonly id: string }) => ids.includes(id);
  const below = draft.parts.slice(0, top + 1);
  draft.parts = [...below.filter((part) => !isChosen(part)), ...below.filter(isChosen), ...draft.parts.slice(top + 1)];
}

/** Groups without parts are let go of. */
export function dropEmptyGroups(draft: Draft<Design>): void {
  const members = membersOfGroups(current(draft));
  draft.groups = draft.groups.filter(({ id }) => (members.get(id)?.length ?? 0) > 0);
}

/** Lets a group's parts stand by themselves again; what followed the group follows nothing any more. */
export function ungroup({ id, name, within }: PartGroup): Edit {
  return {
    label: `ungroup “${name}”`,
    apply(draft) {
      for (const part of draft.parts) if (part.group === id) part.group = within;
      for (const group of draft.groups) if (group.within === id) group.within = within;
      draft.groups = draft.groups.filter((group) => group.id !== id);
      Object.assign(draft, castDraft(forgetPart(current(draft), id)));
    },
  };
}

export function renameGroup({ id }: PartGroup, name: string): Edit {
  return {
    label: "rename the group",
    apply(draft) {
      for (const group of draft.groups) if (group.id === id) group.name = name;
    },
  };
}

/** A group that was only a tool stands by itself again. */
export function showGroup({ id, name }: PartGroup): Edit {
  return {
    label: `show and make “${name}” by itself`,
    apply(draft) {
      for (const group of draft.groups) if (group.id === id) group.role = "show";
    },
  };
}

/** A new part above a group whose motif is the group as a whole, which is only a tool from then on. */
export function repeatGroup(design: Design, { id: used, name }: PartGroup): { edit: Edit; id: string } {
  return repeatedWhole(design, used, name, (draft) => {
    for (const group of draft.groups) if (group.id === used) group.role = "tool";
    const members = membersOfGroups(current(draft)).get(used) ?? [];
    return draft.parts.findLastIndex((one) => members.includes(one.id));
  });
}

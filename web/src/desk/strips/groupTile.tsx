import { Copy, Eye, EyeOff, Flower2, Group, Lock, LockOpen, MoreHorizontal, Trash2, Ungroup } from "lucide-react";
import type { Part, PartGroup } from "@twin-petal/core";
import { useDeskStore, useEditing } from "@/store/deskStore";
import { repeatGroup, showGroup, ungroup } from "@/store/edits/groups";
import { duplicateSeveral, lockSeveral, removeSeveral, showSeveral } from "@/store/edits/several";
import { Menu, MenuItem } from "@/ui/menu";

interface GroupTileProps {
  readonly group: PartGroup;
  readonly members: readonly Part[];
  readonly chosen: boolean;
}

/** A group above its parts: its name, which chooses all of them, and what can be done with it. */
export function GroupTile({ group, members, chosen }: GroupTileProps) {
  const { chooseTogether } = useDeskStore().getState();
  const count = members.length === 1 ? "1 part" : `${members.length} parts`;
  return (
    <li className="group relative w-[62px]">
      <button
        type="button"
        aria-pressed={chosen}
        aria-label={`Group ${group.name}, ${count}${group.role === "tool" ? ", a tool" : ""}`}
        title={`${group.name}: ${count}${group.role === "tool" ? ", only a tool for what is made of it" : ""}`}
        onClick={() => chooseTogether(members.map(({ id }) => id))}
        className={`block w-full rounded-md border px-1 py-0.5 text-center text-[12px] leading-4 ${
          chosen ? "border-2 border-words" : "border-hairline text-quiet hover:border-quiet"
        }`}
      >
        <Group size={14} aria-hidden="true" className="mx-auto" />
        <span className="block truncate">{group.name}</span>
        {group.role === "tool" && <span className="block truncate">tool</span>}
      </button>
      <GroupMenu group={group} members={members} />
    </li>
  );
}

function GroupMenu({ group, members }: Omit<GroupTileProps, "chosen">) {
  const { edit, choose, now } = useEditing();
  const { chooseTogether } = useDeskStore().getState();
  const ids = members.map(({ id }) => id);
  const isShown = members.some(({ visible }) => visible);
  const isLocked = members.every(({ locked }) => locked);
  return (
    <Menu
      trigger={
        <button
          type="button"
          aria-label={`More for ${group.name}`}
          className="absolute -top-2 -right-2 grid size-6 place-items-center rounded-full border border-hairline bg-surface text-quiet opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 hover:text-words data-[state=open]:opacity-100 pointer-coarse:opacity-100"
        >
          <MoreHorizontal size={14} />
        </button>
      }
    >
      <MenuItem onSelect={() => edit(showSeveral(ids, !isShown))}>
        {isShown ? <EyeOff size={16} /> : <Eye size={16} />} {isShown ? "Hide" : "Show"}
      </MenuItem>
      <MenuItem onSelect={() => edit(lockSeveral(ids, !isLocked))}>
        {isLocked ? <LockOpen size={16} /> : <Lock size={16} />} {isLocked ? "Unlock" : "Lock"}
      </MenuItem>
      <MenuItem
        onSelect={() => {
          const copies = duplicateSeveral(now(), ids);
          edit(copies.edit);
          chooseTogether(copies.ids);
        }}
      >
        <Copy size={16} /> Duplicate
      </MenuItem>
      <MenuItem
        onSelect={() => {
          const whole = repeatGroup(now(), group);
          edit(whole.edit);
          choose(whole.id);
        }}
      >
        <Flower2 size={16} /> Repeat it whole
      </MenuItem>
      {group.role === "tool" && (
        <MenuItem onSelect={() => edit(showGroup(group))}>
          <Eye size={16} /> Show and make it by itself
        </MenuItem>
      )}
      <MenuItem onSelect={() => edit(ungroup(group))}>
        <Ungroup size={16} /> Ungroup
      </MenuItem>
      <MenuItem disabled={isLocked} onSelect={() => edit(removeSeveral(ids))}>
        <Trash2 size={16} /> Remove
      </MenuItem>
    </Menu>
  );
}

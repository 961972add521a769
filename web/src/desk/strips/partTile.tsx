import { memo } from "react";
import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { Copy, Eye, EyeOff, Flower2, Lock, LockOpen, MoreHorizontal, MoveDown, MoveUp, Trash2 } from "lucide-react";
import type { Part } from "@twin-petal/core";
import { useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import { duplicatePart, movePart, partEdit, removePart, repeatWhole } from "@/store/edits/parts";
import { droppedPiece, isPiece } from "../shelf/drag";
import { useTaking } from "../shelf/taking";
import { Bitmap } from "@/ui/bitmap";
import { Menu, MenuItem } from "@/ui/menu";

interface PartTileProps {
  readonly part: Part;
  readonly picture: ImageBitmap | undefined;
  /** How many groups it is in. */
  readonly depth: number;
  readonly chosen: boolean;
  /** The sheet's ground, so that pale parts show as they do on it; null for none. */
  readonly ground: string | null;
}

/** One part: its picture, which chooses it, and what can be done with it. */
export const PartTile = memo(function PartTile({ part, depth, picture, chosen, ground }: PartTileProps) {
  const { choose, chooseAlso } = useDeskStore().getState();
  const take = useTaking();
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({ id: part.id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      onDragOver={(event) => isPiece(event) && event.preventDefault()}
      onDrop={(event) => {
        const piece = droppedPiece(event);
        if (piece) take(piece, { part: part.id, at: null });
      }}
      className={`group relative ${isDragging ? "z-10" : ""}`}
    >
      {Array.from({ length: depth }, (_, level) => (
        <span
          key={level}
          aria-hidden="true"
          className="absolute inset-y-0 w-[2px] bg-quiet/50"
          style={{ left: -3 * (level + 1) - 1 }}
        />
      ))}
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-pressed={chosen}
        aria-label={`Part ${part.name}${part.visible ? "" : ", hidden"}${part.locked ? ", locked" : ""}`}
        title={part.name}
        onClick={(event) => (event.shiftKey ? chooseAlso : choose)(part.id)}
        className={`relative block size-[54px] touch-none rounded-md border bg-white p-px ${
          chosen ? "border-2 border-words" : "border-hairline hover:border-quiet"
        }`}
      >
        <Bitmap
          picture={picture}
          width={104}
          height={104}
          className={`size-full rounded-[4px] ${part.visible ? "" : "opacity-25"}`}
          ground={ground ?? "#FFFFFF"}
        />
        <span className="absolute right-0.5 bottom-0.5 flex gap-0.5 text-[#2B2140]">
          {!part.visible && <EyeOff size={13} />}
          {part.locked && <Lock size={13} />}
        </span>
      </button>
      <span aria-hidden="true" className="block w-[62px] -ml-1 truncate text-center text-[11.5px] leading-4 text-quiet">
        {part.name}
      </span>
      <PartMenu part={part} />
    </li>
  );
});

function PartMenu({ part }: { part: Part }) {
  const { edit, choose, now } = useEditing();
  const parts = useDesk((state) => state.history.design.parts);
  const index = parts.findIndex(({ id }) => id === part.id);
  const { id, name, visible, locked } = part;
  const duplicate = () => {
    const copy = duplicatePart(now(), part);
    edit(copy.edit);
    choose(copy.id);
  };
  const takeWhole = () => {
    const whole = repeatWhole(now(), part);
    edit(whole.edit);
    choose(whole.id);
  };
  return (
    <Menu
      trigger={
        <button
          type="button"
          aria-label={`More for ${name}`}
          className="absolute -top-1.5 -right-2 grid size-6 place-items-center rounded-full border border-hairline bg-surface text-quiet opacity-0 group-focus-within:opacity-100 group-hover:opacity-100 hover:text-words data-[state=open]:opacity-100 pointer-coarse:opacity-100"
        >
          <MoreHorizontal size={14} />
        </button>
      }
    >
      <MenuItem
        onSelect={() =>
          edit(
            partEdit(id, visible ? `hide “${name}”` : `show “${name}”`, (draft) => {
              draft.visible = !visible;
            }),
          )
        }
      >
        {visible ? <EyeOff size={16} /> : <Eye size={16} />} {visible ? "Hide" : "Show"}
      </MenuItem>
      <MenuItem
        onSelect={() =>
          edit(
            partEdit(id, locked ? `unlock “${name}”` : `lock “${name}”`, (draft) => {
              draft.locked = !locked;
            }),
          )
        }
      >
        {locked ? <LockOpen size={16} /> : <Lock size={16} />} {locked ? "Unlock" : "Lock"}
      </MenuItem>
      <MenuItem onSelect={duplicate}>
        <Copy size={16} /> Duplicate
      </MenuItem>
      <MenuItem onSelect={takeWhole}>
        <Flower2 size={16} /> Repeat it whole
      </MenuItem>
      <MenuItem disabled={index === parts.length - 1} onSelect={() => edit(movePart(part, index + 1))}>
        <MoveUp size={16} /> Raise
      </MenuItem>
      <MenuItem disabled={index === 0} onSelect={() => edit(movePart(part, index - 1))}>
        <MoveDown size={16} /> Lower
      </MenuItem>
      <MenuItem disabled={locked} onSelect={() => edit(removePart(now(), part))}>
        <Trash2 size={16} /> Remove
      </MenuItem>
    </Menu>
  );
}

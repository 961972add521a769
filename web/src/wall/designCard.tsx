import { memo } from "react";
import { Copy, MoreHorizontal, RotateCcw, Trash2 } from "lucide-react";
import { Link } from "react-router";
import type { ListedDesign } from "@/api/designs";
import { IconButton } from "@/ui/button";
import { Menu, MenuItem } from "@/ui/menu";
import { sizeWords } from "./sizeWords";
import type { useWallActions } from "./useWall";

/** A card's height, CSS pixels: its picture's place, its name and its size. */
export const CARD_HEIGHT = 291;
/** Width by height of the place a picture has on a card. */
const CARD_SHAPE = 1.19;

interface CardProps {
  readonly design: ListedDesign;
  readonly binned: boolean;
  /** Pixels down the list. */
  readonly top: number;
  /** Where it stands in its row, as CSS lengths. */
  readonly left: string;
  readonly width: string;
  readonly actions: ReturnType<typeof useWallActions>;
}

/** One design: its picture, name, size and folds. */
export const DesignCard = memo(function DesignCard({ design, binned, top, left, width, actions }: CardProps) {
  const { id, name, thumbnail, size, folds, copies } = design;
  const wide = size.width / size.height > CARD_SHAPE;
  const picture = (
    <img
      src={thumbnail}
      alt=""
      loading="lazy"
      // The sheet's own shape stands there before its picture has come.
      style={{ aspectRatio: size.width / size.height, [wide ? "width" : "height"]: "100%" }}
      className="absolute inset-0 m-auto max-h-full max-w-full border border-hairline bg-white"
    />
  );
  return (
    <li
      style={{ top, left, width, height: CARD_HEIGHT }}
      className="group absolute flex flex-col overflow-hidden rounded-md border border-hairline bg-surface focus-within:border-quiet hover:border-quiet"
    >
      {binned ? (
        <div className="p-4 opacity-60">
          <div className="relative h-48">{picture}</div>
        </div>
      ) : (
        <Link to={`/designs/${id}`} aria-label={`Open ${name}`} tabIndex={-1} className="block p-4">
          <div className="relative h-48">{picture}</div>
        </Link>
      )}
      <div className="flex items-start gap-2 border-t border-hairline py-2 pr-1.5 pl-3.5">
        <div className="min-w-0 flex-1">
          <h2 className="truncate text-[17px] font-bold">
            {binned ? name : <Link to={`/designs/${id}`}>{name}</Link>}
          </h2>
          <p className="text-[15px] text-quiet">
            {sizeWords(size)} · {folds > 1 ? `${folds}-fold · ` : ""}
            {copies === 1 ? "1 copy" : `${copies.toLocaleString("en")} copies`}
          </p>
        </div>
        {binned ? (
          <IconButton label={`Bring ${name} back to the wall`} onClick={() => actions.restore(id)}>
            <RotateCcw size={17} />
          </IconButton>
        ) : (
          <Menu
            trigger={
              <IconButton label={`More for ${name}`}>
                <MoreHorizontal size={18} />
              </IconButton>
            }
          >
            <MenuItem onSelect={() => actions.duplicate({ id, name })}>
              <Copy size={16} /> Duplicate
            </MenuItem>
            <MenuItem onSelect={() => actions.bin({ id, name })}>
              <Trash2 size={16} /> To the bin
            </MenuItem>
          </Menu>
        )}
      </div>
    </li>
  );
});

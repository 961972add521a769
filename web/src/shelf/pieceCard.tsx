import type { DragEvent, ReactNode } from "react";
import { Trash2 } from "lucide-react";
import type { ListedPiece } from "@/api/shelf";
import { IconButton } from "@/ui/button";
import { NameInput } from "@/ui/nameInput";
import { PiecePicture } from "./piecePicture";
import type { useShelf } from "./useShelf";

interface PieceCardProps {
  readonly piece: ListedPiece;
  readonly shelf: ReturnType<typeof useShelf>;
  /** What a click on the picture does, in words. */
  readonly takeWords: string;
  onTake: () => void;
  /** Called when the picture begins to be dragged. */
  onDrag?: (event: DragEvent) => void;
  readonly children?: ReactNode;
}

/** One piece: its picture, which takes it, and its name. */
export function PieceCard({ piece, shelf, takeWords, onTake, onDrag, children }: PieceCardProps) {
  const { name } = piece;
  return (
    <li className="overflow-hidden rounded-md border border-hairline bg-surface">
      <button
        type="button"
        aria-label={`${takeWords} ${name}`}
        title={`${takeWords} ${name}`}
        draggable={onDrag !== undefined}
        onDragStart={onDrag}
        onClick={onTake}
        className="block aspect-square w-full bg-page hover:brightness-[.97]"
      >
        <PiecePicture piece={piece} />
      </button>
      <div className="flex items-center border-t border-hairline py-0.5 pl-1">
        <NameInput
          label={`Name of ${name}`}
          name={name}
          onRename={(next) => shelf.rename.mutate({ piece, name: next })}
        />
        {children}
        <IconButton label={`Take ${name} off the shelf`} className="size-7" onClick={() => shelf.remove.mutate(piece)}>
          <Trash2 size={15} />
        </IconButton>
      </div>
    </li>
  );
}

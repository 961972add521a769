import { useDeferredValue, useState, type ReactNode } from "react";
import { SHELF_KINDS } from "@twin-petal/core";
import type { ListedPiece } from "@/api/shelf";
import { messageOf } from "@/api/http";
import { SearchBox } from "@/ui/searchBox";
import { PIECE_WORDS } from "./pieceWords";
import type { useShelf } from "./useShelf";

interface PieceListsProps {
  readonly shelf: ReturnType<typeof useShelf>;
  /** How the pieces of a kind stand beside each other, as classes. */
  readonly grid: string;
  readonly card: (piece: ListedPiece) => ReactNode;
}

/** Everything on the shelf by kind, with a search by name. */
export function PieceLists({ shelf, grid, card }: PieceListsProps) {
  const [search, setSearch] = useState("");
  const wanted = useDeferredValue(search.trim().toLowerCase());
  const all = shelf.pieces.data ?? [];
  const found = all.filter(({ name }) => name.toLowerCase().includes(wanted));
  if (shelf.pieces.isError) {
    return (
      <p role="alert" className="text-failed">
        The shelf could not be read: {messageOf(shelf.pieces.error)}
      </p>
    );
  }
  if (shelf.pieces.isSuccess && all.length === 0) {
    return (
      <p className="text-quiet">
        Nothing is here yet. On the desk a part, its rules or the palette are put here; then they are at hand in every
        design.
      </p>
    );
  }
  return (
    <>
      <SearchBox label="Search the shelf" value={search} onChange={setSearch} />
      {found.length === 0 && all.length > 0 && <p className="mt-3 text-quiet">Nothing here is called “{search}”.</p>}
      {SHELF_KINDS.map((kind) => {
        const own = found.filter((piece) => piece.kind === kind);
        if (own.length === 0) return null;
        return (
          <section key={kind} aria-label={PIECE_WORDS[kind].many} className="mt-3">
            <h3 className="mb-1 text-[15px] font-bold text-quiet">
              {PIECE_WORDS[kind].many} <span className="font-normal">{PIECE_WORDS[kind].takes}</span>
            </h3>
            <ul className={`grid gap-2 ${grid}`}>{own.map(card)}</ul>
          </section>
        );
      })}
    </>
  );
}

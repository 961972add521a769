import { X } from "lucide-react";
import { Link } from "react-router";
import { shelfPieceOf, type ShelfKind } from "@twin-petal/core";
import { ArtistProvider } from "@/shelf/artist";
import { PieceCard } from "@/shelf/pieceCard";
import { PieceLists } from "@/shelf/pieceLists";
import { useShelf } from "@/shelf/useShelf";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import { IconButton } from "@/ui/button";
import { usePicture } from "../stage/pictureContext";
import { WordButton } from "../fields/wordButton";
import { beginDrag } from "./drag";
import { useTaking } from "./taking";

const PUT_WORDS: Readonly<Record<ShelfKind, string>> = {
  motif: "this part",
  rules: "its rules",
  palette: "the palette",
};

/** The shelf beside the sheet: pieces are put there, and taken by a click or by dragging. */
export function ShelfDrawer() {
  const shown = useDesk((state) => state.hand.shelf);
  return shown ? <Drawer /> : null;
}

function Drawer() {
  const store = useDeskStore();
  const { assistant } = usePicture("assistant");
  const shelf = useShelf();
  const take = useTaking();
  return (
    <aside
      aria-label="Shelf"
      className="flex w-[264px] shrink-0 flex-col overflow-y-auto border-l border-hairline bg-surface p-3"
    >
      <div className="flex items-center justify-between">
        <h2 className="text-xl font-bold">Shelf</h2>
        <IconButton label="Put the shelf away" onClick={() => store.getState().setHand({ shelf: false })}>
          <X size={18} />
        </IconButton>
      </div>
      <Putting shelf={shelf} />
      <ArtistProvider value={assistant}>
        <PieceLists
          shelf={shelf}
          grid="grid-cols-2"
          card={(piece) => (
            <PieceCard
              key={piece.id}
              piece={piece}
              shelf={shelf}
              takeWords="Take"
              onTake={() => take(piece, { part: piece.kind === "motif" ? null : store.getState().chosen, at: null })}
              onDrag={(event) => beginDrag(event, piece)}
            />
          )}
        />
      </ArtistProvider>
      <p className="mt-4 text-[15px]">
        <Link to="/shelf" className="font-medium text-live underline">
          The whole shelf
        </Link>
      </p>
    </aside>
  );
}

/** What of the design can be put there now. */
function Putting({ shelf }: { shelf: ReturnType<typeof useShelf> }) {
  const design = useDesign();
  const chosen = useDesk((state) => state.chosen);
  const offers = (["motif", "rules", "palette"] as const).flatMap((kind) => shelfPieceOf(design, kind, chosen) ?? []);
  if (offers.length === 0) return null;
  return (
    <p className="mt-1 mb-3 leading-7 text-quiet">
      Put here
      {offers.map((piece) => (
        <WordButton key={piece.kind} disabled={shelf.put.isPending} onClick={() => shelf.put.mutate(piece)}>
          {PUT_WORDS[piece.kind]}
        </WordButton>
      ))}
    </p>
  );
}

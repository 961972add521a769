import { useEffect, useRef } from "react";
import { Download, Upload } from "lucide-react";
import { Link } from "react-router";
import { toFile } from "@twin-petal/core";
import type { ListedPiece } from "@/api/shelf";
import { useBegin } from "@/begin/useBegin";
import { Button } from "@/ui/button";
import { Mark } from "@/ui/mark";
import { OwnArtist } from "./artist";
import { PieceCard } from "./pieceCard";
import { PieceLists } from "./pieceLists";
import { readPiece, useShelf } from "./useShelf";

/** Everything that is kept to be used again. */
export default function ShelfScreen() {
  const shelf = useShelf();
  const chooser = useRef<HTMLInputElement>(null);
  useEffect(() => {
    document.title = "Shelf · Twin Petal";
    return () => {
      document.title = "Twin Petal";
    };
  }, []);
  const begin = useBegin();
  const beginWith = ({ id, kind }: ListedPiece) => begin.mutate(async () => toFile((await readPiece(id, kind)).design));
  const listed = shelf.pieces.data ?? [];
  return (
    <div className="flex min-h-full flex-col">
      <header className="sticky top-0 z-10 border-b border-hairline bg-surface">
        <div className="mx-auto flex max-w-6xl flex-wrap items-center gap-3 px-6 py-3">
          <Link to="/" aria-label="To the wall" title="To the wall" className="rounded-md p-1 hover:bg-page">
            <Mark />
          </Link>
          <h1 className="mr-auto text-xl font-bold">Shelf</h1>
          <Button onClick={() => chooser.current?.click()}>
            <Upload size={16} /> Take in a file
          </Button>
          <Button
            disabled={listed.length === 0 || shelf.giveFile.isPending}
            onClick={() => shelf.giveFile.mutate(listed)}
          >
            <Download size={16} /> All as one file
          </Button>
          <input
            ref={chooser}
            type="file"
            accept=".json"
            hidden
            aria-label="Shelf file to take in"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              if (file) shelf.takeFile.mutate(file);
              event.target.value = "";
            }}
          />
        </div>
      </header>
      <main className="mx-auto w-full max-w-6xl flex-1 px-6 py-6">
        <OwnArtist>
          <PieceLists
            shelf={shelf}
            grid="grid-cols-[repeat(auto-fill,minmax(160px,1fr))]"
            card={(piece) => (
              <PieceCard
                key={piece.id}
                piece={piece}
                shelf={shelf}
                takeWords="Begin a design with"
                onTake={() => beginWith(piece)}
              />
            )}
          />
        </OwnArtist>
      </main>
    </div>
  );
}

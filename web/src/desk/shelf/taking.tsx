import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from "react";
import { toast } from "sonner";
import type { ShelfKind, ShelfPiece } from "@twin-petal/core";
import { messageOf } from "@/api/http";
import { readPiece } from "@/shelf/useShelf";
import { useDesign, useDeskStore } from "@/store/deskStore";
import { applyEdit } from "@/store/edit";
import { takingWays, type Landing, type TakingWay } from "@/store/edits/shelf";
import { Bitmap } from "@/ui/bitmap";
import { Dialog } from "@/ui/dialog";
import { pixelsOf, useLivePictures } from "../live/useLivePictures";

/** A piece as it is dragged: which it is. */
export interface Dragged {
  readonly id: string;
  readonly kind: ShelfKind;
}

type Take = (dragged: Dragged, landing: Landing) => void;

const TakingContext = createContext<Take>(() => undefined);

/** Takes a piece of the shelf into the design: at once where there is one way, else as it is chosen by live pictures. */
export const useTaking = (): Take => useContext(TakingContext);

/** Lets everything on the desk take pieces of the shelf. */
export function TakingProvider({ children }: { children: ReactNode }) {
  const store = useDeskStore();
  const [offered, setOffered] = useState<{ piece: ShelfPiece; landing: Landing } | null>(null);
  const take = useCallback<Take>(
    ({ id, kind }, landing) => {
      const offer = async () => {
        const piece = await readPiece(id, kind);
        const ways = takingWays(store.getState().history.design, piece, landing);
        if ("trouble" in ways) toast.error(`“${piece.design.name}” was not taken: ${ways.trouble}.`);
        else if (ways.length > 1 || kind === "rules") setOffered({ piece, landing });
        else takeBy(store, ways[0]);
      };
      void offer().catch((error: unknown) => toast.error(messageOf(error)));
    },
    [store],
  );
  return (
    <TakingContext value={take}>
      {children}
      {offered && <Ways {...offered} onClose={() => setOffered(null)} />}
    </TakingContext>
  );
}

function takeBy(store: ReturnType<typeof useDeskStore>, way: TakingWay | undefined): void {
  if (!way) return;
  const { edit, choose } = store.getState();
  edit(way.edit);
  if (way.chosen !== null) choose(way.chosen);
}

const SIDE = 220;

/** The ways a piece can be taken, each as a picture of what becomes of the ornament. */
function Ways({ piece, landing, onClose }: { piece: ShelfPiece; landing: Landing; onClose: () => void }) {
  const store = useDeskStore();
  const design = useDesign();
  const ways = useMemo(() => {
    const found = takingWays(design, piece, landing);
    return "trouble" in found ? [] : found;
  }, [design, piece, landing]);
  const wanted = useMemo(
    () => ways.map(({ name, edit }) => ({ key: name, design: applyEdit(design, edit) })),
    [design, ways],
  );
  const pictures = useLivePictures(wanted, "own", { width: SIDE, height: SIDE }, true);
  return (
    <Dialog title={`“${piece.design.name}” from the shelf`} open onClose={onClose}>
      <ul className="grid grid-cols-2 gap-3">
        {ways.map((way) => {
          const picture = pictures.get(way.name);
          return (
            <li key={way.name}>
              <button
                type="button"
                onClick={() => {
                  takeBy(store, way);
                  onClose();
                }}
                className="flex w-full flex-col items-center rounded-md border border-hairline p-2 hover:border-quiet hover:bg-page"
              >
                <Bitmap
                  picture={picture?.bitmap ?? undefined}
                  width={pixelsOf(SIDE)}
                  height={pixelsOf(SIDE)}
                  className="size-[220px] rounded border border-hairline bg-page"
                />
                <b className="mt-1 font-medium first-letter:uppercase">{way.name}</b>
                <span className="text-[14px] text-quiet">{picture?.trouble ?? way.promise}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </Dialog>
  );
}

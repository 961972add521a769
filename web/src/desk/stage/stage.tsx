import { unwaited } from "@/api/unwaited";
import { useEffect, useRef, type DragEvent } from "react";
import { transfer } from "comlink";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import { droppedPiece } from "../shelf/drag";
import { useTaking } from "../shelf/taking";
import { importPicture } from "../importPicture";
import { CloseUp } from "./closeUp";
import { LoopMark } from "./loopMark";
import { Marks } from "./marks";
import { ToolStrip } from "./toolStrip";
import { WorkPanel } from "./workPanel";
import { usePicture } from "./pictureContext";
import { useElementSize } from "./useElementSize";
import { useSheetHand } from "./useSheetHand";
import { useViewHand } from "./useViewHand";
import { uncover } from "@/paint/uncover";
import { panned, placeIn, toSheet, zoomed } from "@/paint/view";

/** The sheet with the ornament, painted in a worker; handles and hit marks lie over it. */
export function Stage() {
  const { painter, view, size, setSize, setView, report, currency } = usePicture(
    "painter",
    "view",
    "size",
    "setSize",
    "setView",
    "report",
    "currency",
  );
  const design = useDesign();
  const store = useDeskStore();
  const frame = useRef<HTMLDivElement>(null);
  const holder = useRef<HTMLDivElement>(null);
  const { hand, loop } = useSheetHand(frame);
  const room = useRef<HTMLDivElement>(null);
  useViewHand(
    room,
    {
      zoom: (factor, at) => size && setView((view) => zoomed(view, size, factor, at)),
      pan: (x, y) => setView((view) => panned(view, x, y)),
      isOver: (target) => !(target instanceof Element && target.closest("[data-own-view]")),
    },
    frame,
  );

  useEffect(() => {
    const canvas = document.createElement("canvas");
    canvas.className = "absolute inset-0 size-full";
    canvas.dataset.testid = "picture";
    // Below the picture of a painter that was ended, which stays until this one has something to show.
    holder.current?.prepend(canvas);
    const offscreen = canvas.transferControlToOffscreen();
    unwaited(painter.attach(transfer(offscreen, [offscreen])));
    return currency.watch((isCurrent) => {
      if (isCurrent) uncover(canvas);
    });
  }, [painter, currency]);

  const take = useTaking();
  const drop = (event: DragEvent) => {
    event.preventDefault();
    for (const file of event.dataTransfer.files) unwaited(importPicture(store, file, null));
    const piece = droppedPiece(event);
    if (!piece || !view || !size) return;
    const at = toSheet(view, size, placeIn(frame.current, event));
    // A motif lands where it is let go; what changes a part goes to the one it is let go on.
    if (piece.kind === "motif") take(piece, { part: null, at });
    else
      unwaited(
        painter
          .copyAt(at, view.scale)
          .then((found) => take(piece, { part: found?.part ?? store.getState().chosen, at })),
      );
  };

  const measured = useElementSize(frame);
  useEffect(() => {
    if (measured) setSize(measured);
  }, [measured, setSize]);

  useEffect(
    () => currency.watch((current) => frame.current?.setAttribute("data-painted", current ? "yes" : "no")),
    [currency],
  );

  const swapped = useDesk((state) => state.hand.swapped) && design.parts.length > 0;
  const copies = [...(report?.copies.values() ?? [])].reduce((sum, count) => sum + count, 0);
  return (
    <div
      ref={room}
      className="relative min-h-0 min-w-0 flex-1"
      onDragOver={(event) => event.preventDefault()}
      onDrop={drop}
    >
      <div
        ref={frame}
        id="sheet"
        role="img"
        tabIndex={0}
        aria-label={`The sheet of ${design.name}, with ${copies} copies. Arrow keys move it, plus and minus zoom.`}
        className={`cursor-grab touch-none overflow-hidden -outline-offset-2 active:cursor-grabbing ${
          swapped ? "absolute top-3 right-3 z-10 h-40 w-44 rounded-md border border-hairline" : "absolute inset-0"
        }`}
        {...hand}
      >
        <div ref={holder} />
        {loop && (
          <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden="true">
            <LoopMark points={loop} />
          </svg>
        )}
      </div>
      {size && !swapped && <Marks />}
      {design.parts.length > 0 && <CloseUp />}
      <ToolStrip />
      <WorkPanel />
    </div>
  );
}

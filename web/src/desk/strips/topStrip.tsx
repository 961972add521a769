import { memo } from "react";
import { Maximize, Minus, Plus, Redo2, Undo2 } from "lucide-react";
import { Link } from "react-router";
import { useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import { renameDesign } from "@/store/edits/sheet";
import { IconButton } from "@/ui/button";
import { Mark } from "@/ui/mark";
import { zoomed } from "@/paint/view";
import { usePicture } from "../stage/pictureContext";
import { SaveWords } from "./saveWords";
import { TakeAwayMenu } from "./takeAwayMenu";

/** CSS pixels a millimetre at real size. */
const REAL_SIZE = 96 / 25.4;
const ZOOM_STEP = 1.25;

/** The strip along the top: where you are, what is saved, undo, zoom, and the way out. */
export const TopStrip = memo(function TopStrip({ onKeys }: { onKeys: () => void }) {
  const { edit } = useEditing();
  const name = useDesk((state) => state.history.design.name);
  return (
    <header className="flex h-11 shrink-0 items-center gap-2 border-b border-hairline bg-surface px-3">
      <Link to="/" aria-label="To the wall" title="To the wall" className="rounded-md p-1 hover:bg-page">
        <Mark />
      </Link>
      <h1 className="min-w-0">
        <input
          aria-label="Name of the design"
          value={name}
          maxLength={120}
          size={Math.min(36, Math.max(8, name.length))}
          onChange={(event) => edit(renameDesign(event.target.value))}
          onKeyDown={(event) => event.stopPropagation()}
          className="max-w-72 rounded bg-transparent px-1.5 py-0.5 text-[18px] font-bold hover:bg-page focus:bg-page"
        />
      </h1>
      <SaveWords />
      <UndoRedo />
      <Zoom />
      <IconButton label="Keys" onClick={onKeys}>
        <span className="font-bold">?</span>
      </IconButton>
      <TakeAwayMenu />
    </header>
  );
});

function UndoRedo() {
  const back = useDesk((state) => state.history.past.at(-1)?.label);
  const forward = useDesk((state) => state.history.future.at(-1)?.label);
  const { undo, redo } = useDeskStore().getState();
  return (
    <span className="ml-2 flex">
      <IconButton label={back ? `Undo: ${back}` : "Nothing to undo"} disabled={!back} onClick={undo}>
        <Undo2 size={18} />
      </IconButton>
      <IconButton label={forward ? `Redo: ${forward}` : "Nothing to redo"} disabled={!forward} onClick={redo}>
        <Redo2 size={18} />
      </IconButton>
    </span>
  );
}

function Zoom() {
  const { view, size, setView, fit } = usePicture();
  const middle = { x: (size?.width ?? 0) / 2, y: (size?.height ?? 0) / 2 };
  const zoom = (factor: number) => size && setView((current) => zoomed(current, size, factor, middle));
  return (
    <span className="ml-auto flex items-center">
      <IconButton label="Zoom out" onClick={() => zoom(1 / ZOOM_STEP)}>
        <Minus size={16} />
      </IconButton>
      <button
        type="button"
        title="Show at real size"
        onClick={() => view && zoom(REAL_SIZE / view.scale)}
        className="w-14 rounded text-center font-mono text-[13px] text-quiet hover:bg-page"
      >
        {view ? `${Math.round((view.scale / REAL_SIZE) * 100)}%` : ""}
      </button>
      <IconButton label="Zoom in" onClick={() => zoom(ZOOM_STEP)}>
        <Plus size={16} />
      </IconButton>
      <IconButton label="Show the sheet whole" onClick={fit}>
        <Maximize size={16} />
      </IconButton>
    </span>
  );
}

import { memo } from "react";
import { Hammer, Library, Maximize, Minus, Plus } from "lucide-react";
import { Link, useNavigate } from "react-router";
import { useDesign, useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import { renameDesign } from "@/store/edits/sheet";
import { Button, IconButton } from "@/ui/button";
import { Mark } from "@/ui/mark";
import { Menu, MenuItem } from "@/ui/menu";
import { WORKSHOPS } from "@/workshop/workshops";
import { hasSolids } from "@twin-petal/core";
import { zoomed } from "@/paint/view";
import { useLargeView } from "../stage/pictureContext";
import { TakesPanel } from "../takes/takesPanel";
import { UndoRedo } from "./undoRedo";
import { SavePanel } from "./savePanel";
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
      <SavePanel />
      <UndoRedo />
      <Zoom />
      <IconButton label="Keys" onClick={onKeys}>
        <span className="font-bold">?</span>
      </IconButton>
      <TakesPanel />
      <ShelfButton />
      <WorkshopMenu />
      <TakeAwayMenu />
    </header>
  );
});

function ShelfButton() {
  const { setHand } = useDeskStore().getState();
  const shown = useDesk((state) => state.hand.shelf);
  return (
    <Button aria-pressed={shown} className="aria-pressed:bg-page" onClick={() => setHand({ shelf: !shown })}>
      <Library size={16} aria-hidden="true" /> Shelf
    </Button>
  );
}

/** The workshops: solids have theirs only where something stands up. */
function WorkshopMenu() {
  const design = useDesign();
  const id = useDesk((state) => state.id);
  const go = useNavigate();
  return (
    <Menu
      trigger={
        <Button>
          <Hammer size={16} aria-hidden="true" /> Workshop
        </Button>
      }
    >
      {WORKSHOPS.filter(({ kind }) => kind !== "solid" || hasSolids(design)).map(({ kind, name, words }) => (
        <MenuItem key={kind} onSelect={() => void go(`/designs/${id}/${kind}`)}>
          <b className="w-14">{name}</b>
          <span className="text-quiet">{words}</span>
        </MenuItem>
      ))}
    </Menu>
  );
}

/** How large the sheet is shown; the solid view is moved by its own hand. */
function Zoom() {
  const isSolid = useDesk((state) => state.hand.solid);
  const { view, size, setView, fit } = useLargeView();
  const middle = { x: (size?.width ?? 0) / 2, y: (size?.height ?? 0) / 2 };
  const zoom = (factor: number) => size && setView((current) => zoomed(current, size, factor, middle));
  if (isSolid) return <span className="ml-auto" />;
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

import { Redo2, Undo2 } from "lucide-react";
import { useDesk, useDeskStore } from "@/store/deskStore";
import { IconButton } from "@/ui/button";

/** Back and forward, named by what they undo. */
export function UndoRedo() {
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

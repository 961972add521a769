import { readDesign, toFile } from "@twin-petal/core";
import { useState } from "react";
import { toast } from "sonner";
import { createDesign, fetchDesign } from "@/api/designs";
import { messageOf } from "@/api/http";
import { useDeskStore, useDesk } from "@/store/deskStore";
import { beginHistory } from "@/store/history";
import { Button } from "@/ui/button";
import { Dialog } from "@/ui/dialog";

/** The design was changed in another window: the person chooses which to keep. */
export function ConflictDialog() {
  const store = useDeskStore();
  const saveState = useDesk((state) => state.saveState);
  const [busy, setBusy] = useState(false);
  if (saveState.kind !== "conflict") return null;

  const attempt = async (work: () => Promise<void>) => {
    setBusy(true);
    await work().catch((error: unknown) => toast.error(messageOf(error)));
    setBusy(false);
  };
  const takeTheirs = async () => {
    const { id, restart } = store.getState();
    const { file, revision } = await fetchDesign(id);
    const { design } = readDesign(file);
    if (!design) throw new Error("The other version cannot be read; keep yours.");
    restart(beginHistory(design), revision, { kind: "saved" });
  };
  const keepMine = async () => {
    const { id, history, restart } = store.getState();
    const { revision } = await fetchDesign(id);
    restart(history, revision, { kind: "changed" });
  };
  const keepBoth = async () => {
    const { history } = store.getState();
    const name = `${history.design.name}, my version`;
    await createDesign(toFile({ ...history.design, name }));
    await takeTheirs();
    toast.success(`Yours is on the wall as “${name}”`);
  };

  return (
    <Dialog title="Changed in another window" open>
      <p className="mb-4">
        Somebody saved this design elsewhere since you opened it here. Your change is still here and not lost. Which
        shall stay?
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look="main" disabled={busy} onClick={() => void attempt(keepBoth)}>
          Keep both, mine as a new design
        </Button>
        <Button disabled={busy} onClick={() => void attempt(keepMine)}>
          Keep mine
        </Button>
        <Button disabled={busy} onClick={() => void attempt(takeTheirs)}>
          Take the other
        </Button>
      </div>
    </Dialog>
  );
}

import { isSame, problemLine, readDesign, toFile } from "@twin-petal/core";
import { fetchDesign } from "@/api/designs";
import { createDeskStore, type DeskStore } from "@/store/deskStore";
import { beginHistory } from "@/store/history";
import { readKept } from "@/store/keep";

/**
 * Lays a design on the desk: the server's, with the way back this browser remembers; or a change this
 * browser kept because the server never got it.
 */
export async function loadDesk(id: string): Promise<DeskStore> {
  const [{ file, revision }, kept] = await Promise.all([fetchDesign(id), readKept(id)]);
  const { design, problems } = readDesign(file);
  if (!design) throw new Error(`The design cannot be read: ${problems.map(problemLine).join("; ")}`);
  if (kept && !kept.saved) {
    const saveState =
      kept.revision === revision ? ({ kind: "changed" } as const) : ({ kind: "conflict", revision } as const);
    return createDeskStore(id, kept.history, kept.revision, saveState);
  }
  const remembers = kept?.revision === revision && isSame(toFile(kept.history.design), toFile(design));
  return createDeskStore(id, remembers ? kept.history : beginHistory(design), revision, { kind: "saved" });
}

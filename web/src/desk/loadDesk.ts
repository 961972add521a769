import { isSame, problemLine, readDesign, toFile, type Design } from "@twin-petal/core";
import { fetchDesign } from "@/api/designs";
import { createDeskStore, type DeskStore, type SaveState } from "@/store/deskStore";
import { beginHistory, statesOf, type History } from "@/store/history";
import { readKept, type Kept } from "@/store/keep";
import { hasLeft } from "@/store/leaving";

/** Where designs come from. */
interface DeskPlaces {
  /** The design file as the server has it, and its revision. */
  fetch: (id: string) => Promise<{ readonly file: unknown; readonly revision: number }>;
  /** What the browser has kept of it. */
  readKept: (id: string) => Promise<Kept | undefined>;
}

/**
 * Lays a design on the desk: the server's, with the way back this browser remembers; or a change this
 * browser kept because it does not know that the server has it.
 */
export async function loadDesk(id: string, places: DeskPlaces = { fetch: fetchDesign, readKept }): Promise<DeskStore> {
  await hasLeft(id);
  const [{ file, revision }, kept] = await Promise.all([places.fetch(id), places.readKept(id)]);
  const { design, problems } = readDesign(file);
  if (!design) throw new Error(`The design cannot be read: ${problems.map(problemLine).join("; ")}`);
  const lay = (history: History, builtOn: number, saveState: SaveState) =>
    createDeskStore(id, history, builtOn, saveState);
  if (!kept) return lay(beginHistory(design), revision, { kind: "saved" });
  const isServers = (mine: Design) => isSame(toFile(mine), toFile(design));
  const { history, saved } = kept;
  if (isServers(history.design)) return lay(history, revision, { kind: "saved" });
  // The server has what this browser did not come to keep: the way back leads to what it kept.
  if (saved) return lay(leadingOn(history, design), revision, { kind: "saved" });
  // A save whose answer never came back may have landed: then the server has one of our own states.
  const isOurs = kept.revision === revision || [...statesOf(history), ...(kept.unanswered ?? [])].some(isServers);
  if (isOurs) return lay(history, revision, { kind: "changed" });
  return lay(history, kept.revision, { kind: "conflict", revision });
}

/** A history that goes on to a design by a step of unknown making. */
function leadingOn({ design, past }: History, next: Design): History {
  return { design: next, past: [...past, { label: "what was saved last", design }], future: [] };
}

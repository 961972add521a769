import { toast } from "sonner";
import { fetchDesign, saveDesign } from "@/api/designs";
import { ApiError } from "@/api/http";
import { leftBehind } from "./keep";

/**
 * Sends what windows that are gone kept and the server never got, where it still builds on what the server has. What does not is
 * asked about when its design is opened.
 */
export async function sendLeftBehind(): Promise<void> {
  const left = await leftBehind().catch(() => []);
  if (left.length === 0) return;
  const { isSame, toFile } = await import("@twin-petal/core");
  for (const { id, kept, markSaved } of left) {
    const { design } = kept.history;
    try {
      await saveDesign(id, toFile(design), kept.revision);
      await markSaved();
      toast.success(`What was kept here of “${design.name}” is saved now`);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      // A save whose answer never came back may have landed.
      if (error.status === 412 && isSame((await fetchDesign(id)).file, toFile(design))) await markSaved();
    }
  }
}

import { toast } from "sonner";
import { castDraft } from "immer";
import type { Motif } from "@twin-petal/core";
import { messageOf } from "@/api/http";
import type { DeskStore } from "@/store/deskStore";
import { addMadePart } from "@/store/edits/drawn";
import { partEdit } from "@/store/edits/parts";
import { startMaker } from "@/workers/start";

/** Imports an SVG from another program as the motif of a part, or of a new one; says what was not taken over. */
export async function importPicture(store: DeskStore, file: File, part: string | null): Promise<void> {
  const { work: maker, end } = startMaker();
  try {
    const read = await maker.importPicture(await file.text());
    if ("refusal" in read) {
      toast.error(`${file.name} ${read.refusal}.`, { duration: 12_000 });
      return;
    }
    const motif: Motif = { kind: "svg", source: read.source };
    const { edit, choose, setHand, history } = store.getState();
    const name = file.name.replace(/\.svg$/i, "").slice(0, 100) || "Picture";
    setHand({ tool: "look" });
    if (part === null) {
      const added = addMadePart(history.design, motif, name, false);
      edit(added.edit);
      choose(added.id);
    } else {
      edit(
        partEdit(part, `import ${file.name}`, (draft) => {
          draft.motif = castDraft(motif);
        }),
      );
    }
    const left = read.leftOut.map(({ what, times }) => (times === 1 ? what : `${times} × ${what}`));
    const shapes = read.source.shapes.length;
    toast.success(`${file.name}: ${shapes === 1 ? "one shape" : `${shapes} shapes`} taken over.`, {
      ...(left.length > 0 && { description: `Not taken over: ${left.join("; ")}.`, duration: 15_000 }),
    });
  } catch (error) {
    toast.error(`${file.name} could not be imported: ${messageOf(error)}`);
  } finally {
    end();
  }
}

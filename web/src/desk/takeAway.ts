import { toast } from "sonner";
import { fileName, writeDesign, type Design, type MakeOptions } from "@twin-petal/core";
import { messageOf } from "@/api/http";
import { download } from "@/ui/download";
import { startMaker } from "@/workers/start";

/** Work that takes longer than this shows that it is under way, milliseconds. */
const SHOW_AFTER = 300;

/** Makes a file of the design in a worker, and hands it to the browser to keep. */
export async function takeAway(design: Design, extension: string, options: Partial<MakeOptions>): Promise<void> {
  const { work: maker, end } = startMaker();
  let timer = 0;
  const stopped = new Promise<null>((stop) => {
    const action = { label: "Stop", onClick: () => stop(null) };
    timer = window.setTimeout(() => toast.loading(`Making the ${extension} …`, { id: extension, action }), SHOW_AFTER);
  });
  try {
    const made = await Promise.race([maker.make(writeDesign(design), extension, options), stopped]);
    if (made === null) toast("Stopped; no file was made", { id: extension });
    else if ("refusal" in made) toast.error(made.refusal, { id: extension });
    else {
      download(made.file, `${fileName(design.name)}.${extension}`);
      const description = made.notes.length > 0 ? made.notes.join("; ") : undefined;
      toast.success(`${fileName(design.name)}.${extension} is made`, { id: extension, description });
    }
  } catch (error) {
    toast.error(`The file could not be made: ${messageOf(error)}`, { id: extension });
  } finally {
    window.clearTimeout(timer);
    end();
  }
}

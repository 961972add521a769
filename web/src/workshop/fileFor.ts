import { fileName, writeDesign, type Design } from "@twin-petal/core";
import { startMaker } from "@/workers/start";

/** The file a device is sent; rejects in words. */
export async function fileFor(design: Design, extension: string): Promise<{ name: string; file: Blob }> {
  const { work: maker, end } = startMaker();
  try {
    const made = await maker.make(writeDesign(design), extension, {});
    if ("refusal" in made) throw new Error(made.refusal);
    return { name: `${fileName(design.name)}.${extension}`, file: made.file };
  } finally {
    end();
  }
}

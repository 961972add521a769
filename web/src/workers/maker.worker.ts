import {
  formatOf,
  importSvg,
  loadGeometryEngine,
  makeFile,
  parseDesign,
  problemLine,
  type ImportResult,
  type MakeOptions,
} from "@twin-petal/core";
import { serve } from "./serve";
import { WEB_HOST } from "./webHost";

/** A file that was made and what should be known of it, or why it cannot be. */
type MadeHere = { readonly file: Blob; readonly notes: readonly string[] } | { readonly refusal: string };

const maker = {
  /** Makes a design file's text into a format. */
  async make(content: string, extension: string, options: Partial<MakeOptions>): Promise<MadeHere> {
    const { design, problems } = parseDesign(content);
    const format = formatOf(extension);
    if (!design || !format) return { refusal: problems[0]?.message ?? `there is no format ${extension}` };
    const made = await makeFile(design, format, options, WEB_HOST);
    if ("problems" in made) return { refusal: made.problems.map(problemLine).join("; ") };
    if ("refusal" in made) return made;
    return { file: new Blob([made.file], { type: format.mediaType }), notes: made.notes };
  },

  /** Reads a picture from another program. */
  async importPicture(content: string): Promise<ImportResult> {
    await loadGeometryEngine(WEB_HOST.geometryEngine);
    return importSvg(content);
  },
};

export type Maker = typeof maker;

serve(maker);

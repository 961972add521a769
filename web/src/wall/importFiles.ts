import { createDesign } from "@/api/designs";
import { messageOf } from "@/api/http";

export interface ImportOutcome {
  readonly file: string;
  /** The new design's id, or why there is none. */
  readonly id: string | null;
  readonly reasons: readonly string[];
}

/** Opens dropped files as designs: design files, and SVGs that carry one. */
export function importFiles(files: readonly File[]): Promise<ImportOutcome[]> {
  return Promise.all(files.map(importFile));
}

async function importFile(file: File): Promise<ImportOutcome> {
  const { openDesign, problemLine, toFile } = await import("@twin-petal/core");
  const { design, problems } = openDesign(await file.text());
  if (!design) return { file: file.name, id: null, reasons: problems.map(problemLine) };
  try {
    return { file: file.name, id: await createDesign(toFile(design)), reasons: [] };
  } catch (error) {
    return { file: file.name, id: null, reasons: [messageOf(error)] };
  }
}

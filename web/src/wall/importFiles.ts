import { createDesign } from "@/api/designs";
import { messageOf } from "@/api/http";

/** What came of one file. */
export interface ImportOutcome {
  readonly file: string;
  /** How many designs were added. */
  readonly count: number;
  /** Why there are none, or not all. */
  readonly reasons: readonly string[];
}

/** Opens dropped files as designs: design files, and SVGs that carry one. */
export function importFiles(files: readonly File[]): Promise<ImportOutcome[]> {
  return Promise.all(files.map(importFile));
}

async function importFile(file: File): Promise<ImportOutcome> {
  const { openDesign, problemLine, toFile } = await import("@twin-petal/core");
  const { design, problems } = openDesign(await file.text());
  if (!design) return { file: file.name, count: 0, reasons: problems.map(problemLine) };
  try {
    await createDesign(toFile(design));
    return { file: file.name, count: 1, reasons: [] };
  } catch (error) {
    return { file: file.name, count: 0, reasons: [messageOf(error)] };
  }
}

/** Whether a file may be the zip of everything. */
export const isZip = ({ name }: File): boolean => name.toLowerCase().endsWith(".zip");

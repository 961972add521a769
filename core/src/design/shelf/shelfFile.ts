import { isRecord } from "../../fields/stored";
import type { Problem } from "../../formula/problem";
import { readDesign } from "../read";
import { toFile } from "../write";
import { isShelfKind, pieceTrouble, SHELF_KINDS, type ShelfPiece } from "./piece";

/** The version written into every file of a shelf. */
const SHELF_FORMAT = "twin-petal-shelf/1";
/** Pieces there can be on a shelf. */
export const MOST_PIECES = 1_000;

/** The pieces of a shelf's file, or everything that is wrong with it. */
export interface ReadShelf {
  /** Those that are right; all of them where there is no problem. */
  readonly pieces: readonly ShelfPiece[];
  /** What is wrong, each at its path in the file. */
  readonly problems: readonly Problem[];
}

/** The text of a file that holds a whole shelf. */
export function writeShelf(pieces: readonly ShelfPiece[]): string {
  const file = { format: SHELF_FORMAT, pieces: pieces.map(({ kind, design }) => ({ kind, design: toFile(design) })) };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/** Reads a shelf's file from plain data. Pieces that are right are given even where others are wrong. */
export function readShelf(data: unknown): ReadShelf {
  if (!isRecord(data) || data.format !== SHELF_FORMAT) {
    return { pieces: [], problems: [{ path: "format", message: `is not “${SHELF_FORMAT}”: this is no shelf` }] };
  }
  if (!Array.isArray(data.pieces)) return { pieces: [], problems: [{ path: "pieces", message: "must be a list" }] };
  const entries: readonly unknown[] = data.pieces;
  if (entries.length > MOST_PIECES) {
    const message = `holds ${entries.length} pieces; a shelf has at most ${MOST_PIECES}`;
    return { pieces: [], problems: [{ path: "pieces", message }] };
  }
  const read = entries.map((entry, index) => readPiece(entry, `pieces[${index}]`));
  return {
    pieces: read.flatMap((one) => ("piece" in one ? [one.piece] : [])),
    problems: read.flatMap((one) => ("problems" in one ? one.problems : [])),
  };
}

type ReadPiece = { readonly piece: ShelfPiece } | { readonly problems: readonly Problem[] };

function readPiece(entry: unknown, path: string): ReadPiece {
  const within = (problem: Problem) => ({
    ...problem,
    path: [`${path}.design`, problem.path].filter(Boolean).join("."),
  });
  if (!isRecord(entry)) return { problems: [{ path, message: "must be a kind and a design" }] };
  const { kind } = entry;
  if (!isShelfKind(kind)) {
    return { problems: [{ path: `${path}.kind`, message: `must be one of ${SHELF_KINDS.join(", ")}` }] };
  }
  const { design, problems } = readDesign(entry.design);
  if (!design) return { problems: problems.map(within) };
  const trouble = pieceTrouble(kind, design);
  return trouble ? { problems: [within(trouble)] } : { piece: { kind, design } };
}

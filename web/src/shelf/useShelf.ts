import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { toast } from "sonner";
import {
  problemLine,
  readDesign,
  readShelf,
  toFile,
  writeShelf,
  type Design,
  type ShelfKind,
  type ShelfPiece,
} from "@twin-petal/core";
import { messageOf } from "@/api/http";
import { readAnew } from "@/api/readAnew";
import { fetchPiece, listPieces, putPiece, removePiece, restorePiece, savePiece, type ListedPiece } from "@/api/shelf";
import { download } from "@/ui/download";

const SHELF = "shelf";
const tell = (error: unknown) => void toast.error(messageOf(error));

/** What is on the shelf, and what can be done with it. */
export function useShelf() {
  const client = useQueryClient();
  const changed = () => void readAnew(client, [SHELF]);
  const pieces = useQuery({ queryKey: [SHELF], queryFn: listPieces });

  const put = useMutation({
    mutationFn: ({ kind, design }: ShelfPiece) => putPiece(kind, toFile(design)),
    onSuccess: (_, { design }) => toast.success(`“${design.name}” is on the shelf`),
    onError: tell,
    onSettled: changed,
  });
  const rename = useMutation({
    mutationFn: async ({ piece, name }: { piece: ListedPiece; name: string }) => {
      const { design } = await readPiece(piece.id, piece.kind);
      return savePiece(piece.id, toFile({ ...design, name }), piece.revision);
    },
    onError: tell,
    onSettled: changed,
  });
  const restore = useMutation({ mutationFn: restorePiece, onError: tell, onSettled: changed });
  const remove = useMutation({
    mutationFn: ({ id }: ListedPiece) => removePiece(id),
    onSuccess: (_, { id, name }) =>
      toast(`“${name}” is off the shelf`, { action: { label: "Undo", onClick: () => restore.mutate(id) } }),
    onError: tell,
    onSettled: changed,
  });
  const giveFile = useMutation({
    mutationFn: async (listed: readonly ListedPiece[]) => {
      const whole = await Promise.all(listed.map(({ id, kind }) => readPiece(id, kind)));
      download(new Blob([writeShelf(whole)], { type: "application/json" }), "Shelf.petal-shelf.json");
    },
    onError: tell,
  });
  const takeFile = useMutation({ mutationFn: putAll, onSuccess: tellTaken, onError: tell, onSettled: changed });
  return { pieces, put, rename, remove, giveFile, takeFile };
}

/** The design that holds a piece. */
export async function readPiece(id: string, kind: ShelfKind): Promise<{ kind: ShelfKind; design: Design }> {
  const { design, problems } = readDesign(await fetchPiece(id));
  if (!design) throw new Error(`That piece cannot be read: ${problems.map(problemLine).join("; ")}`);
  return { kind, design };
}

interface Taken {
  readonly file: string;
  readonly count: number;
  readonly refused: readonly string[];
}

/** Puts every piece of a shelf's file on this one; those that are wrong are told, and the others are there. */
async function putAll(file: File): Promise<Taken> {
  const { pieces, problems } = readShelf(dataIn(file.name, await file.text()));
  const refused = problems.map(problemLine);
  let count = 0;
  // The last is put first: they stand in the order they had.
  for (const { kind, design } of pieces.toReversed()) {
    try {
      await putPiece(kind, toFile(design));
      count += 1;
    } catch (error) {
      refused.push(`“${design.name}”: ${messageOf(error)}`);
    }
  }
  return { file: file.name, count, refused };
}

function dataIn(name: string, text: string): unknown {
  try {
    const data: unknown = JSON.parse(text);
    return data;
  } catch {
    throw new Error(`${name} is not the file of a shelf: it is no JSON.`);
  }
}

function tellTaken({ file, count, refused }: Taken): void {
  const number = count === 0 ? "Nothing" : count === 1 ? "One piece" : `${count} pieces`;
  const words = `${number} of ${file} ${count > 1 ? "were" : "was"} put on the shelf`;
  if (refused.length === 0) toast.success(words);
  else toast.error(words, { description: `Not taken: ${refused.slice(0, 5).join("; ")}`, duration: 15_000 });
}

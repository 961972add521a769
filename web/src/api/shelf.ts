import { array, number, object, string, type InferType } from "yup";
import { SHELF_KINDS, type ShelfKind } from "@twin-petal/core";
import { ask, JSON_HEADERS } from "./http";

const listed = object({
  id: string().required(),
  kind: string().oneOf(SHELF_KINDS).required(),
  name: string().defined(),
  revision: number().required(),
  changed: number().required(),
});
const shelf = object({ pieces: array(listed).required() });

/** A piece as the shelf lists it. */
export type ListedPiece = InferType<typeof listed>;

/** All pieces, those changed last first. */
export async function listPieces(): Promise<ListedPiece[]> {
  return (await shelf.validate(await (await ask("/api/shelf")).json())).pieces;
}

/** The design file that holds a piece, as data. */
export async function fetchPiece(id: string): Promise<unknown> {
  return (await ask(`/api/shelf/${id}`, { cache: "no-store" })).json();
}

/** Puts a piece on the shelf, as a design file's data. */
export async function putPiece(kind: ShelfKind, file: unknown): Promise<void> {
  await ask(`/api/shelf?kind=${kind}`, { method: "POST", headers: JSON_HEADERS, body: JSON.stringify(file) });
}

/** Saves a piece on top of a revision; a stale one is an ApiError of status 412. */
export async function savePiece(id: string, file: unknown, revision: number): Promise<void> {
  const headers = { ...JSON_HEADERS, "If-Match": `"${revision}"` };
  await ask(`/api/shelf/${id}`, { method: "PUT", headers, body: JSON.stringify(file) });
}

/** Takes a piece off the shelf. */
export async function removePiece(id: string): Promise<void> {
  await ask(`/api/shelf/${id}`, { method: "DELETE" });
}

/** Brings a piece back that was taken off. */
export async function restorePiece(id: string): Promise<void> {
  await ask(`/api/shelf/${id}/restore`, { method: "POST" });
}

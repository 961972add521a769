import type { DragEvent } from "react";
import { isRecord, isShelfKind } from "@twin-petal/core";
import type { Dragged } from "./taking";

/** What a dragged piece is known by: only this application's windows understand it. */
const PIECE_TYPE = "application/x-twin-petal-piece";

export function beginDrag(event: DragEvent, { id, kind }: Dragged): void {
  event.dataTransfer.setData(PIECE_TYPE, JSON.stringify({ id, kind }));
  event.dataTransfer.effectAllowed = "copy";
}

/** Whether what is dragged over a place is a piece of the shelf. */
export function isPiece({ dataTransfer }: DragEvent): boolean {
  return dataTransfer.types.includes(PIECE_TYPE);
}

/** The piece that was let go; null where it is something else. */
export function droppedPiece({ dataTransfer }: DragEvent): Dragged | null {
  const text = dataTransfer.getData(PIECE_TYPE);
  if (text === "") return null;
  try {
    const data: unknown = JSON.parse(text);
    return isRecord(data) && typeof data.id === "string" && isShelfKind(data.kind)
      ? { id: data.id, kind: data.kind }
      : null;
  } catch {
    return null;
  }
}

import type { ComponentType, ReactNode } from "react";
import type { DeskStore } from "@/store/deskStore";

/** Where a made motif begins. */
export interface Beginning {
  /** The part whose motif it becomes; null for a new part. */
  readonly part: string | null;
  readonly store: DeskStore;
  /** Has a file chosen, which then becomes the motif. */
  chooseFile: () => void;
}

/** A kind of motif that is made rather than chosen ready. Adding one is a file with one of these and a line in the list. */
export interface MadeMotif {
  readonly kind: string;
  /** What people call it. */
  readonly name: string;
  readonly promise: string;
  /** Drawn in a square of 32. */
  readonly mark: ReactNode;
  /** What it has to say beyond one sentence; null for no more. */
  readonly Panel: ComponentType | null;
  begin: (beginning: Beginning) => void;
}

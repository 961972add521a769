import type { Mesh, SpacePoint } from "@twin-petal/core";
import type { LaidLayer, ShownBody, ShownGroup } from "@/workers/solidWork";

/** Where solids are cut open: everything beyond a place along an axis is left out. */
export interface CutOpen {
  readonly axis: 0 | 1 | 2;
  /** Millimetres. */
  readonly at: number;
}

/** Copies of one mesh of a part. */
export interface DrawnGroup {
  readonly part: string;
  /** Whether what is behind shows through, as through cutters. */
  readonly clear: boolean;
  readonly group: ShownGroup;
}

/** Everything a picture of solids shows. */
export interface SolidContent {
  /** The bed's sides, millimetres. */
  readonly bed: { readonly width: number; readonly depth: number };
  readonly groups: readonly DrawnGroup[];
  /** Meshes of the groups, by number. */
  readonly meshes: ReadonlyMap<number, Mesh>;
  /** United bodies, drawn in place of the copies; null while there are none. */
  readonly bodies: readonly ShownBody[] | null;
  readonly cuts: readonly CutOpen[];
  /** Points that are marked, and joined by a line where there are two. */
  readonly marked: readonly SpacePoint[];
  /** A layer that is laid. */
  readonly laid: LaidLayer | null;
}

/** What a click met. */
export interface Met {
  readonly point: SpacePoint;
  /** The part and the number of its copy, where a copy was met. */
  readonly copy: { readonly part: string; readonly number: number } | null;
}

/** A picture of nothing. */
export const NO_CONTENT: SolidContent = {
  bed: { width: 0, depth: 0 },
  groups: [],
  meshes: new Map(),
  bodies: null,
  cuts: [],
  marked: [],
  laid: null,
};

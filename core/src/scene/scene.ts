import type { Blend, Role } from "../design/design";
import type { Problem } from "../design/problem";
import type { ResolvedGuide, ResolvedSheet } from "../design/resolve";
import type { ResolvedFinish } from "../finish/resolveFinish";
import type { WovenCrossing } from "../join/weave/weave";
import type { Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import type { Size } from "../geometry/size";
import type { PlacedMark } from "../rules/compose";
import type { LinkReport } from "../rules/linkedNumbers";
import type { Placements } from "../rules/placements";
import type { Shape } from "../rules/shapes";
import type { Wedge } from "./wedge";

/** The shape of one part: its outlines once, and where every copy stands. Kept while neither changes. */
export interface PartGeometry {
  /** The motif's outline, its own place included. Millimetres. */
  readonly path: Path;
  /** What is painted: the copies, or what they are joined into. `placements.shapeOf` says which has which outline. */
  readonly shapes: readonly Shape[];
  readonly placements: Placements;
  /** The copies as the rules make them, before any join. */
  readonly copies: { readonly shapes: readonly Shape[]; readonly placements: Placements };
  /** Whether what is painted was computed anew from the copies. */
  readonly joined: boolean;
  /** For joins into faces, what each painted outline is coloured by. */
  readonly colorOf: Int32Array | null;
  /** For joins into faces, the name of each painted outline that is a face. */
  readonly faceOf: readonly (string | null)[] | null;
  /** For weaves, the places where strands cross. */
  readonly crossings: readonly WovenCrossing[] | null;
  /** What the person should know of how it was drawn and repeated, in words. */
  readonly told: readonly string[];
  /** The motif's own place, which the path has in it. */
  readonly motifAt: Matrix;
  /** Where the whole part is set, last of all. */
  readonly at: Matrix;
  /** The sector one fold owns, in the motif's space. */
  readonly wedge: () => Wedge | null;
  readonly marks: () => readonly PlacedMark[];
  /** For each active rule, by its number in the part, its numbers that hang together. */
  readonly links: () => ReadonlyMap<number, readonly LinkReport[]>;
  /** For each active rule that repeats in a rectangle without a seam, that rectangle. */
  readonly tiles: () => ReadonlyMap<number, Size>;
}

/** One part, computed. */
export interface PartScene {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly visible: boolean;
  readonly geometry: PartGeometry;
  readonly finish: ResolvedFinish;
  readonly blend: Blend;
}

/** A design, computed: plain data from which pictures and files are made. */
export interface Scene {
  readonly sheet: ResolvedSheet;
  /** What lies under every part; null where the sheet is bare. */
  readonly ground: PartScene | null;
  readonly guides: readonly ResolvedGuide[];
  /** Bottom first. A part whose numbers are wrong shows as it last was, or is missing if it never was right. */
  readonly parts: readonly PartScene[];
  readonly numbers: ReadonlyMap<string, number>;
  readonly problems: readonly Problem[];
}

import type { Blend, Role } from "../design/design";
import type { Problem } from "../design/problem";
import type { ResolvedGuide, ResolvedSheet } from "../design/resolve";
import type { ResolvedFinish } from "../finish/resolveFinish";
import type { Matrix } from "../geometry/matrix";
import type { Path } from "../geometry/path";
import type { Piece } from "../motif/drawing";
import type { PlacedMark } from "../rules/compose";
import type { SpanReport } from "../rules/definition";
import type { Placements } from "../rules/placements";
import type { Wedge } from "./wedge";

/** The shape of one part: its motif once, and where every copy stands. Kept while neither changes. */
export interface PartGeometry {
  /** The motif's outline, its own place included. Millimetres. */
  readonly path: Path;
  /** The pieces a motif with colours of its own is painted in; null when the finish paints the outline as one. */
  readonly pieces: readonly Piece[] | null;
  /** What the person should know of how the motif was drawn, in words. */
  readonly told: readonly string[];
  /** The motif's own place, which the path has in it. */
  readonly motifAt: Matrix;
  /** The sector one fold owns, in the motif's space. */
  readonly wedge: Wedge | null;
  readonly placements: Placements;
  readonly marks: readonly PlacedMark[];
  /** For each active rule, by its number in the part, how its copies go round. */
  readonly spans: ReadonlyMap<number, SpanReport>;
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
  readonly guides: readonly ResolvedGuide[];
  /** Bottom first. A part whose numbers are wrong shows as it last was, or is missing if it never was right. */
  readonly parts: readonly PartScene[];
  readonly numbers: ReadonlyMap<string, number>;
  readonly problems: readonly Problem[];
}

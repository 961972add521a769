import type { Placements } from "../rules/placements";
import type { Shape } from "../rules/shape";
import type { Opening } from "./openings";
import type { WovenCrossing } from "./weave/weave";

/** Copies as they are to be painted: outlines on the sheet, each once where it is. */
export interface JoinedCopies {
  /** Outlines, each once. */
  readonly shapes: readonly Shape[];
  /** Where they stand. */
  readonly placements: Placements;
  /** How large the copy each outline was one of is, by which its line is as wide; null where outlines are of several. */
  readonly sizes: Float64Array | null;
  /** For joins into faces: what each outline is coloured by. */
  readonly colorOf: Int32Array | null;
  /** For joins into faces: the name of each outline that is one, by its orbit and its number around it. */
  readonly faceOf: readonly (string | null)[] | null;
  /** For weaves: the places where strands cross. */
  readonly crossings: readonly WovenCrossing[] | null;
  /** For joins into faces: where lines end so little before another that hardly anybody meant it. */
  readonly openings?: readonly Opening[];
  /** What should be known of it, in words. */
  readonly notes: readonly string[];
}

/** Copies as the rules made them. */
export interface Composed {
  /** Outlines, each once. */
  readonly shapes: readonly Shape[];
  /** Where every copy stands. */
  readonly placements: Placements;
}

import type { Blend, ResolvedFinish } from "../finish/finishFields";
import type { Effects } from "../finish/effects/effects";
import type { FacePainting } from "../finish/paint";
import type { Problem } from "../formula/problem";
import type { Matrix } from "../geometry/matrix";
import type { NOT_SEWN, ResolvedStitch } from "../thread/stitchFields";
import type { NOT_CUT, ResolvedCut } from "./cutFields";
import type { ResolvedSolid } from "../form/solidFields";
import type { ResolvedJoin } from "../join/joinFields";
import type { PreparedMotif } from "../motif/definition";
import type { PlacedMotif } from "../motif/placedMotif";
import type { ActiveRule } from "../rules/compose";
import type { GroupMembers } from "./groups";
import type { GuideShape } from "./guides/definition";
import type { ResolvedMaking } from "./makingFields";
import type { Role, StandsBy } from "./partFields";

/** The sheet in millimetres. */
export interface ResolvedSheet {
  /** Millimetres. */
  readonly width: number;
  /** Millimetres. */
  readonly height: number;
  /** Millimetres within the edge. */
  readonly margin: number;
  /** Null for none. */
  readonly ground: FacePainting | null;
  /** Grain over the ground; null for none. */
  readonly grain: Effects["grain"];
}

/** A part with every number known, ready to be computed. */
export interface ResolvedPart {
  /** Unique in the design. */
  readonly id: string;
  /** What the designer calls it. */
  readonly name: string;
  /** Whether it is made, only seen, or a tool for others. */
  readonly role: Role;
  /** What it is for whoever follows its group: the group may be a tool as a whole. */
  readonly ownRole: Role;
  /** What groups stand for where one is named in a part's place. */
  readonly groups: GroupMembers;
  /** Whether it is shown and made. */
  readonly visible: boolean;
  /** What is repeated, ready to be computed. */
  readonly motif: PreparedMotif;
  /** The motif's own place, before any rule. */
  readonly motifAt: Matrix;
  /** By what of its outline it stands there. */
  readonly standsBy: StandsBy;
  /** What is taken from the motif before any rule. */
  readonly cutouts: readonly PlacedMotif[];
  /** How its copies combine. */
  readonly join: ResolvedJoin;
  /** Whether copies that only repeat another are left out. */
  readonly oneEach: boolean;
  /** Those that are switched on, in order. */
  readonly rules: readonly ActiveRule[];
  /** The whole part's place, after every rule. */
  readonly at: Matrix;
  /** How it is painted. */
  readonly finish: ResolvedFinish;
  /** How its colours mix with what lies below, as CSS names it. */
  readonly blend: Blend;
  /** How it is given height; null where it stays flat. */
  readonly solid: ResolvedSolid | null;
  /** How it is cut; null where it is cut through. */
  readonly cut: ResolvedCut | typeof NOT_CUT | null;
  /** How it is sewn; null where its finish says so. */
  readonly stitch: ResolvedStitch | typeof NOT_SEWN | null;
  /** Notes something wrong with it, at one of its fields. */
  report: (field: string, message: string) => void;
  /** What kept its numbers from being known; such a part cannot be computed. */
  readonly problems: readonly Problem[];
}

/** A design with every number known. */
export interface ResolvedDesign {
  /** What it is made on. */
  readonly sheet: ResolvedSheet;
  /** How it is made. */
  readonly making: ResolvedMaking;
  /** Lines and shapes to go by, which are not made. */
  readonly guides: readonly GuideShape[];
  /** The lowest first. */
  readonly parts: readonly ResolvedPart[];
  /** The named numbers that have a value. */
  readonly numbers: ReadonlyMap<string, number>;
  /** What is wrong outside the parts. */
  readonly ownProblems: readonly Problem[];
  /** Everything that is wrong, the parts' problems included. */
  readonly problems: readonly Problem[];
}

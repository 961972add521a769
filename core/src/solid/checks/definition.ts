import type { ResolvedMaking } from "../../design/makingFields";
import type { Mesh } from "../../form/mesh";
import type { MeshPiece } from "../../form/meshPieces";
import type { MeshRays } from "../../form/meshRays";
import type { SpacePoint } from "../../geometry/space";
import type { SolidBody } from "../bodies";
import type { SolidLayout } from "../layout";

/** How a check came out: nothing stands against making it, something may, something does. */
export type CheckState = "passed" | "doubtful" | "failed";

/** What a check found. */
export interface CheckResult<F extends string = string> {
  /** How it came out. */
  readonly state: CheckState;
  /** What was measured, by name. Millimetres, square and cubic millimetres, grams, seconds. */
  readonly figures: Readonly<Record<F, number>>;
  /** Where it is, the worst first. */
  readonly places: readonly SpacePoint[];
}

/** What checks look at. */
export interface CheckAsked {
  /** Everything of one colour, united. */
  readonly bodies: readonly SolidBody[];
  /** All of it as one surface. */
  readonly whole: Mesh;
  /** The pieces it falls into. */
  readonly pieces: readonly MeshPiece[];
  /** Where ways meet it. */
  readonly rays: MeshRays;
  /** The copies it was made of. */
  readonly layout: SolidLayout;
  /** How it is made. */
  readonly making: ResolvedMaking["solid"];
}

/** Something that could go wrong in the making. Adding one is a file with one of these and a line in the list. */
export interface SolidCheck<K extends string = string, F extends string = string> {
  /** Its name. */
  readonly kind: K;
  /** Looks at what is to be made. */
  check: (asked: CheckAsked) => CheckResult<F>;
}

/** Makes a check. */
export function defineCheck<const K extends string, F extends string>(check: SolidCheck<K, F>): SolidCheck<K, F> {
  return check;
}

/** Places shown of one check at most. */
export const MOST_PLACES = 200;

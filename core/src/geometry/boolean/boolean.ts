import { coincide, SAME_PLACE } from "../coincide/coincide";
import { OUTLINE_EFFORT, spendOnOutlines } from "../effortOfOutlines";
import { areaOfPath, type Path } from "../path";
import { rejoined } from "../rejoin";
import { standardSizeOf, type StandardSize } from "../standardSize";
import { clip } from "./clip";
import type { Loop } from "./loop";
import { CELLS_PER_MILLIMETRE, facetsOf, type Facets } from "./facets";
import type { ClipRule, FillRule, Operation } from "./operation";
import { areaOfLoop, recoverCurves } from "./recover";
import { isTidy } from "./tidyRuns";
import { AS_ONE, FLATTENED_WITHIN } from "./tolerance";

/**
 * The first outline combined with all the others, millimetres. Curves stay the curves they were, cut
 * where outlines cross; the result is filled by the nonzero rule. Open runs count as closed by a straight
 * edge. The geometry engine must have been loaded. Throws a TooMuchEffort.
 */
export function combine(operands: readonly Path[], operation: Operation, rule: FillRule = "nonzero"): Path {
  const size = standardSizeOf(operands);
  if (!size) return [];
  const keepsCrossings = rule === "evenodd" || operation === "exclusive";
  spendOnOutlines(operands, keepsCrossings ? OUTLINE_EFFORT.kept : OUTLINE_EFFORT.united);
  const { paths, shared } = coincide(operands.map(size.to), SAME_PLACE, "closed");
  const facets = facetsOf(paths, FLATTENED_WITHIN);
  const touching = shared && keepsCrossings;
  return size.back(rejoined(recoverCurves(clip(facets, operation, rule, touching), facets), AS_ONE));
}

/**
 * An area without what its outlines cross or cover twice: the outlines themselves where they do neither and run the right
 * ways round. The geometry engine must have been loaded.
 */
export function tidied(path: Path): Path {
  const size = standardSizeOf([path]);
  if (!size) return [];
  return isTidy(size.to(path)) || clipped(path, size, "nonzero").isUnchanged ? path : combine([path], "union");
}

/** What is gone round clockwise on the sheet more often than not, of outlines that share no edges. */
export function goneRound(path: Path): Path {
  const size = standardSizeOf([path]);
  if (!size) return [];
  const asItIs = () => rejoined(path, AS_ONE / size.scale);
  if (isTidy(size.to(path))) return asItIs();
  const { isUnchanged, loops, facets } = clipped(path, size, "positive");
  return isUnchanged ? asItIs() : size.back(rejoined(recoverCurves(loops, facets), AS_ONE));
}

interface Clipped {
  /** Whether nothing of it changed: then the outlines themselves are the result. */
  readonly isUnchanged: boolean;
  readonly loops: readonly Loop[];
  readonly facets: Facets;
}

function clipped(path: Path, size: StandardSize, rule: ClipRule): Clipped {
  spendOnOutlines([path], OUTLINE_EFFORT.united);
  const facets = facetsOf([size.to(path)], FLATTENED_WITHIN);
  const loops = clip(facets, "union", rule);
  return { isUnchanged: isSame(path, loops, facets, size), loops, facets };
}

/** Areas that differ by less than this share run the same ways round. */
const SAME_AREA = 1e-2;

/** Whether loops are all the runs of a path, no vertex added and none left out, run the same ways round. */
function isSame(path: Path, loops: readonly Loop[], facets: Facets, { scale }: StandardSize): boolean {
  const kept = loops.reduce((sum, loop) => sum + loop.length, 0);
  if (kept !== facets.curveOf.length - 1 || loops.length !== path.length) return false;
  if (loops.some((loop) => loop.some(({ vertex }) => vertex === 0))) return false;
  const inMillimetres = CELLS_PER_MILLIMETRE * scale;
  const left = loops.reduce((sum, loop) => sum + areaOfLoop(loop), 0) / (inMillimetres * inMillimetres);
  const own = areaOfPath(path);
  return Math.abs(own - left) <= SAME_AREA * Math.abs(own);
}

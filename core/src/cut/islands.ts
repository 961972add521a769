import type { ResolvedMaking } from "../design/makingFields";
import { measurePath } from "../geometry/pathLength";
import type { Point } from "../geometry/point";
import { bridgesOn, placesOnRuns } from "./bridges";
import type { CutLoop, CutPlan } from "./plan";

/** Bridges that hold an island. */
const BRIDGES = 2;
/** Where along it they are sought, millimetres. */
const WIDTH = 1;

/**
 * Whether a loop bounds what would fall out though it belongs to what is kept: of pieces that are kept, one that lies loose
 * in another's hole; of a sheet that is kept, what stands within a piece that falls out.
 */
export function isIsland({ level, isCutThrough }: CutLoop, kept: ResolvedMaking["cut"]["kept"]): boolean {
  if (!isCutThrough) return false;
  return kept === "pieces" ? level >= 2 && level % 2 === 0 : level % 2 === 1;
}

/** A place for a bridge, and the part whose outline it is on. */
export interface BridgePlace {
  /** The part's id. */
  readonly part: string;
  /** On the sheet, millimetres. */
  readonly at: Point;
}

/** Where bridges would hold every island: at its straightest places, and across on the outline around it. */
export function bridgesForIslands({ loops, settings }: CutPlan): BridgePlace[] {
  return loops
    .filter((loop) => isIsland(loop, settings.kept))
    .flatMap(({ part, run, around }) => {
      const measured = measurePath(run);
      const own = bridgesOn(run, BRIDGES, WIDTH, []).map(({ from, to }) => measured.at((from + to) / 2).point);
      const outer = around === null ? undefined : loops[around];
      const across = outer
        ? [...placesOnRuns([outer.run], own, Infinity).values()]
            .flat()
            .map((length) => ({ part: outer.part, at: measurePath(outer.run).at(length).point }))
        : [];
      return [...own.map((at) => ({ part, at })), ...across];
    });
}

import { NOT_CUT, RESOLVED_CUT_DEFAULT, type CutWay, type ResolvedCut } from "../design/cutFields";
import { withoutDoubled } from "../geometry/arrangement/lines";
import type { Path, Subpath } from "../geometry/path";
import { measurePath } from "../geometry/pathLength";
import { copyOutlines } from "../rules/copyOutlines";
import { madeParts } from "../scene/made";
import type { PartScene, Scene } from "../scene/scene";

/** A line a blade, a beam or a pen follows, on the sheet. */
export interface CutOutline {
  /** The id of the part it belongs to. */
  readonly part: string;
  /** How the part is cut. */
  readonly cut: ResolvedCut;
  /** Where it runs, millimetres. */
  readonly run: Subpath;
  /** Whether it bounds a piece by itself: it is closed, and no stretch of it bounds another. */
  readonly bounds: boolean;
}

/** The outlines of all parts of a scene that are cut, those that lie on each other once. */
export interface CutOutlines {
  /** In the order of the parts. */
  readonly outlines: readonly CutOutline[];
  /** How much of them lay on each other and is cut once, millimetres. */
  readonly doubled: number;
}

/** How a part is cut; null where it is left alone. */
export function cutOf({ cut }: PartScene): ResolvedCut | null {
  return cut === NOT_CUT ? null : (cut ?? RESOLVED_CUT_DEFAULT);
}

/** What is followed in one way: the outlines of the parts that are made so. Areas that are engraved have none. */
export function outlinesToCut(scene: Scene, as: Exclude<CutWay, "engrave">): CutOutlines {
  const owned = madeParts(scene).flatMap((part) => {
    const cut = cutOf(part);
    return cut?.as === as ? outlinesOf(part).map((path) => ({ part: part.id, cut, path })) : [];
  });
  const paths = owned.map(({ path }) => path);
  const once = withoutDoubled(paths);
  // A line that is there for another, too, is no edge of its own: what comes first is told from behind.
  const back = withoutDoubled([...paths].reverse()).reverse();
  const outlines = owned.flatMap(({ part, cut, path }, index) => {
    const isAlone = once[index] === path && back[index] === path;
    return (once[index] ?? []).map((run) => ({ part, cut, run, bounds: isAlone && run.closed }));
  });
  return { outlines, doubled: lengthOf(paths.flat()) - lengthOf(once.flat()) };
}

/** The outlines of a part's copies, or of what they are joined into; faces without the lines over them. */
export function outlinesOf({ geometry }: PartScene): Path[] {
  const { faceOf } = geometry;
  return copyOutlines(geometry).filter((path, copy) => path.length > 0 && (!faceOf || faceOf[copy] !== null));
}

/** The length of runs, millimetres. */
export function lengthOf(runs: Path): number {
  return runs.reduce((sum, run) => sum + measurePath(run).length, 0);
}

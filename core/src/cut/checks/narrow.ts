import Flatbush from "flatbush";
import { at } from "../../geometry/at";
import type { Box } from "../../geometry/box";
import { combine } from "../../geometry/boolean/boolean";
import { offsetPath } from "../../geometry/offset/offset";
import { areaOfPath, boxOfPath, type Path } from "../../geometry/path";
import { defineCutCheck } from "./definition";

/** Grown by this, what was taken off touches what it was taken from, millimetres. */
const TOUCH = 0.02;
/** Areas under this are none, square millimetres: two corners that meet in a point hold nothing. */
const LEAST = 1e-4;

/**
 * Whether what is left holds together everywhere over at least a width: the material is shrunk by half of it and grown again;
 * what is missing then and touches what is left at two sides is a web that narrow.
 */
export const narrow = defineCutCheck({
  kind: "narrow",
  check({ loops, settings: { narrowest } }) {
    const material = combine([loops.flatMap(({ run }) => run)], "union", "evenodd");
    if (narrowest === 0 || material.length === 0)
      return { state: "passed", figures: { count: 0, narrowest }, places: [] };
    const opened = offsetPath(offsetPath(material, -narrowest / 2, "round"), narrowest / 2, "round");
    const missing = opened.length === 0 ? [] : combine([material, opened], "difference");
    const near = runsNear(opened);
    const webs = piecesOf(missing).filter((piece) => touches(piece, near) > 1);
    return {
      state: webs.length > 0 ? "doubtful" : "passed",
      figures: { count: webs.length, narrowest },
      places: webs.map((piece) => {
        const { left, right, top, bottom } = boxOfPath(piece);
        return { x: (left + right) / 2, y: (top + bottom) / 2 };
      }),
    };
  },
});

/** Outlines with their holes left out: pieces this thin have none that matter. */
function piecesOf(area: Path): Path[] {
  return area.filter((run) => areaOfPath([run]) > LEAST).map((run) => [run]);
}

/** Finds the runs of an area that can hold anything of a box; those before and behind it change nothing in it. */
function runsNear(area: Path): (box: Box) => Path {
  if (area.length === 0) return () => [];
  const index = new Flatbush(area.length);
  for (const run of area) {
    const { left, top, right, bottom } = boxOfPath([run]);
    index.add(left, top, right, bottom);
  }
  index.finish();
  return ({ left, top, right, bottom }) => index.search(left, top, right, bottom).map((run) => at(area, run));
}

/** At how many stretches a piece touches an area. */
function touches(piece: Path, near: (box: Box) => Path): number {
  const grown = offsetPath(piece, TOUCH, "round");
  return combine([grown, near(boxOfPath(grown))], "intersection").filter((run) => areaOfPath([run]) > LEAST).length;
}

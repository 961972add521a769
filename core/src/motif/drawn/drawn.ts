import { number } from "../../fields/number";
import { structure } from "../../fields/structure";
import type { Path } from "../../geometry/path";
import { DRAWN_PATHS, type DrawnPathValue } from "./drawnValues";
import { defineMotif } from "../definition";
import { beginAt, pathOfDrawn } from "./drawnPath";
import { resolveDrawnPath, type DrawnPath } from "./nodes";

interface DrawnValues {
  readonly paths: readonly DrawnPath[];
  readonly start: number;
}

/** An outline of nodes and handles. */
export const drawn = defineMotif<DrawnValues>({
  kind: "drawn",
  origin: "made",
  fields: {
    paths: structure<readonly DrawnPathValue[], readonly DrawnPath[]>({
      default: [],
      is: isDrawnPaths,
      of: DRAWN_PATHS,
      resolve: (stored, resolver, path) =>
        stored.map((run, index) => resolveDrawnPath(run, resolver, `${path}[${index}]`)),
    }),
    /** The node the outline begins at, counted through all runs. */
    start: number("count", 0, { min: 0 }),
  },
  outline: ({ paths, start }): Path => pathOfDrawn(beginAt(paths, start)),
});

function isDrawnPaths(stored: unknown): stored is readonly DrawnPathValue[] {
  return Array.isArray(stored);
}

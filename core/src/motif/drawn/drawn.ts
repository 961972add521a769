import { number, structure } from "../../design/field";
import { drawnPathSchema } from "./drawnSchema";
import type { Path } from "../../geometry/path";
import { array } from "yup";
import type { FieldValue } from "../../design/field";
import type { DrawnPathValue } from "../../design/structures";
import { MOST_RUNS } from "../../design/most";
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
      schema: () => array(drawnPathSchema().required()).max(MOST_RUNS),
      resolve: (stored, resolver, path) =>
        stored.map((run, index) => resolveDrawnPath(run, resolver, `${path}[${index}]`)),
    }),
    /** The node the outline begins at, counted through all runs. */
    start: number("count", 0, { min: 0 }),
  },
  outline: ({ paths, start }): Path => pathOfDrawn(beginAt(paths, start)),
});

function isDrawnPaths(stored: FieldValue): stored is readonly DrawnPathValue[] {
  return Array.isArray(stored);
}

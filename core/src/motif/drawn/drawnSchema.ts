import { array, boolean, lazy, string } from "yup";
import { NODE_TYPES } from "../../design/structures";
import { isRecord, exactly, numberValue } from "../../design/schemaPieces";
import type { Limits } from "../../design/limits";
import { MOST_NODES } from "../../design/most";

/** Nodes and handles may stand anywhere a motif may reach, millimetres. */
export const NODE_PLACE: Limits = { min: -10_000, max: 10_000, whole: false };

/** A run of a drawn outline as the file holds it. */
export function drawnPathSchema() {
  return exactly({ closed: boolean(), nodes: array(nodeSchema().required()).required().max(MOST_NODES) });
}

function nodeSchema() {
  const place = () => numberValue(NODE_PLACE).required();
  const handle = () =>
    lazy((value: unknown) =>
      exactly({ x: place(), y: place() })
        .default(undefined)
        .optional()
        .test("handle", "must be an object with x and y", () => value === undefined || isRecord(value)),
    );
  return exactly({ x: place(), y: place(), in: handle(), out: handle(), type: string().oneOf(NODE_TYPES) });
}

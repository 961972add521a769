import { choice } from "../../fields/choice";
import { given } from "../../fields/given";
import type { Limits } from "../../fields/limits";
import { list } from "../../fields/list";
import { MOST_NODES, MOST_RUNS } from "../../fields/most";
import { number } from "../../fields/number";
import { optional } from "../../fields/optional";
import { point } from "../../fields/point";
import { record } from "../../fields/record";
import type { PairValue } from "../../fields/stored";
import { toggle } from "../../fields/toggle";
import type { NumberValue } from "../../formula/numbers";
import { ORIGIN } from "../../geometry/point";

/** Nodes and handles may stand anywhere a motif may reach, millimetres. */
export const NODE_PLACE: Limits = { min: -10_000, max: 10_000, whole: false };

/** How a node's handles may keep to each other. */
export const NODE_TYPES = ["corner", "smooth", "symmetric"] as const;
/** How the two handles of a node keep to each other: not at all, in one line, or as mirror images. */
export type NodeType = (typeof NODE_TYPES)[number];

/** A node of a drawn outline as the file holds it. Its handles are relative to it; without one the curve leaves straight. */
export type NodeValue = {
  readonly x: NumberValue;
  readonly y: NumberValue;
  readonly in?: PairValue;
  readonly out?: PairValue;
  readonly type?: NodeType;
};

/** A run of nodes as the file holds it. */
export type DrawnPathValue = {
  readonly closed?: boolean;
  readonly nodes: readonly NodeValue[];
};

const NODE = record({
  x: given(number("length", 0)),
  y: given(number("length", 0)),
  in: optional(point(ORIGIN, NODE_PLACE)),
  out: optional(point(ORIGIN, NODE_PLACE)),
  type: choice(NODE_TYPES, "corner"),
});

/** What the file may hold of a drawn outline. */
export const DRAWN_PATHS = list(record({ closed: toggle(false), nodes: given(list(NODE, { most: MOST_NODES })) }), {
  most: MOST_RUNS,
});

import { block } from "./block";
import { change } from "./change";
import { cuts } from "./cuts";
import { evaluation } from "./evaluation";
import type { Group } from "./group";
import { joins } from "./joins";
import { keeping } from "./keeping";
import { load } from "./load";
import { neighbours } from "./neighbours";
import { nodes } from "./nodes";
import { rules } from "./rules";
import { solids } from "./solids";
import { solidView } from "./solidView";
import { stitches } from "./stitches";
import { stitchOut } from "./stitchOut";

/** Everything that is measured, in the order of the page. */
export const GROUPS: readonly Group[] = [
  evaluation,
  rules,
  joins,
  cuts,
  stitches,
  solids,
  change,
  nodes,
  block,
  neighbours,
  load,
  solidView,
  stitchOut,
  keeping,
];

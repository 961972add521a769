import { amount } from "./amount";
import { crossing } from "./crossing";
import type { CutCheckLabel } from "./definition";
import { doubled } from "./doubled";
import { entries } from "./entries";
import { fits } from "./fits";
import { islands } from "./islands";
import { narrow } from "./narrow";
import { open } from "./open";
import { small } from "./small";

/** How every check of cuts is told, in order. */
export const CUT_CHECK_LABELS: readonly CutCheckLabel[] = [
  fits,
  islands,
  open,
  doubled,
  crossing,
  entries,
  small,
  narrow,
  amount,
];

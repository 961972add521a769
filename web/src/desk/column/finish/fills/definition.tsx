import type { ComponentType } from "react";
import type { Box, FillKind, FillOfKind, FillValue, LineGradientOver, Matrix, VariedFill } from "@twin-petal/core";

/** What the words of a fill are given. */
export interface FillPanelProps<F> {
  readonly label: string;
  readonly fill: F;
  /** Kinds of the part's rules, in order, for counting by one of them. */
  readonly rules: readonly string[];
  /** What it may lie over; none where there is no choice. */
  readonly overs: readonly LineGradientOver[];
  onChange: (fill: F, change: string, gesture?: string) => void;
}

/** What the handles of a fill are given. */
export interface FillHandlesProps<F> {
  readonly part: string;
  readonly fill: F;
  /** The box the fill lies over, in a space that `toSheet` takes to the sheet. */
  readonly box: Box;
  readonly toSheet: Matrix;
}

/** The words of a kind of fill. Adding one is a file with one of these and a line in the list. */
export interface FillLabels {
  readonly kind: FillKind;
  /** What its colours do, as a choice. */
  readonly words: string;
  Panel: ComponentType<FillPanelProps<FillValue>>;
  /** Its places, pulled on the sheet; null where it has none. */
  readonly Handles: ComponentType<FillHandlesProps<VariedFill>> | null;
}

interface FillLabelParts<K extends FillKind> {
  readonly kind: K;
  readonly words: string;
  Panel: ComponentType<FillPanelProps<FillOfKind<K>>>;
  Handles?: ComponentType<FillHandlesProps<FillOfKind<K>>>;
}

export function labelFill<K extends FillKind>({ kind, words, Panel, Handles }: FillLabelParts<K>): FillLabels {
  const isOwn = (fill: FillValue): fill is FillOfKind<K> => typeof fill === "object" && fill.kind === kind;
  return {
    kind,
    words,
    Panel: ({ fill, ...props }) => (isOwn(fill) ? <Panel {...props} fill={fill} /> : null),
    Handles: Handles ? ({ fill, ...props }) => (isOwn(fill) ? <Handles {...props} fill={fill} /> : null) : null,
  };
}

import type { FieldTable, ResolvedOf } from "../fields/field";
import type { Paint } from "../finish/paint";
import type { Point } from "../geometry/point";
import type { Path } from "../geometry/path";
import type { Bands } from "./bands";
import type { Composed, JoinedCopies } from "./joined";
import type { JoinLimits } from "./joinLimits";

/** What every join is asked, with other parts' areas as they stand on the sheet. */
export interface JoinAsked {
  /** What is taken away and what is kept. */
  readonly limits: JoinLimits;
  /** Whether lines that lie on each other are drawn once. */
  readonly dropDoubled: boolean;
  /** The areas of other parts that are joined with the copies. */
  readonly others: readonly Path[];
  /** Where the part's own centre is on the sheet: orbits are numbered from it. */
  readonly centre: Point;
  /** How wide strands are. */
  readonly bands: Bands;
}

/** A way in which copies combine. Adding one is a file with one of these and a line in the list. */
export interface JoinDefinition<K extends string = string, F extends FieldTable = FieldTable> {
  /** Its name in files. */
  readonly kind: K;
  /** What it holds beside what every join does. */
  readonly fields: F;
  /** Whether copies stay as they are where nothing else is asked of them. */
  readonly leavesCopies: boolean;
  /** Whether outlines can be laid beside what it makes. */
  readonly takesOffset: boolean;
  /** Whether lines that lie on each other can be drawn once. */
  readonly takesDoubled: boolean;
  /** Whether other parts' areas can be joined with the copies. */
  readonly takesOthers: boolean;
  /** Copies it can join. */
  most: (dropDoubled: boolean) => number;
  /** What of its values and the finish tells two geometries apart; colours are left out. */
  geometryKey: (values: object, bands: Bands) => unknown;
  /** Joins copies. The geometry engine must have been loaded. */
  join: (composed: Composed, values: object, asked: JoinAsked) => JoinedCopies;
  /** What fills its outlines, where it has colours of its own; `fill` is the finish's. */
  fill: (values: object, fill: Paint | null, joined: Pick<JoinedCopies, "colorOf" | "faceOf">) => Paint | null;
}

interface JoinParts<K extends string, F extends FieldTable> {
  readonly kind: K;
  readonly fields: F;
  readonly leavesCopies?: true;
  readonly takesOffset: boolean;
  readonly takesDoubled?: true;
  readonly takesOthers?: true;
  most: (dropDoubled: boolean) => number;
  geometryKey?: (values: ResolvedOf<F>, bands: Bands) => unknown;
  join: (composed: Composed, values: ResolvedOf<F>, asked: JoinAsked) => JoinedCopies;
  fill?: (values: ResolvedOf<F>, fill: Paint | null, joined: Pick<JoinedCopies, "colorOf" | "faceOf">) => Paint | null;
}

/** Makes a way to join of what it holds and what it makes of copies. */
export function defineJoin<const K extends string, F extends FieldTable>(parts: JoinParts<K, F>): JoinDefinition<K, F> {
  // A part's join holds the fields of all kinds, each under its own name.
  const isOwn = (values: object): values is ResolvedOf<F> => Object.keys(parts.fields).every((name) => name in values);
  const own = (values: object) => {
    if (isOwn(values)) return values;
    throw new Error(`these are not the values of the join ${parts.kind}`);
  };
  return {
    kind: parts.kind,
    fields: parts.fields,
    leavesCopies: parts.leavesCopies ?? false,
    takesOffset: parts.takesOffset,
    takesDoubled: parts.takesDoubled ?? false,
    takesOthers: parts.takesOthers ?? false,
    most: parts.most,
    geometryKey: (values, bands) => parts.geometryKey?.(own(values), bands) ?? null,
    join: (composed, values, asked) => parts.join(composed, own(values), asked),
    fill: (values, fill, joined) => (parts.fill ? parts.fill(own(values), fill, joined) : fill),
  };
}

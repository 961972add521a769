import type { NumberValue } from "../formula/numbers";
import type { PairValue, PlaceValue, StoredFields } from "./field";
import type { Cap, LineJoin } from "./design";

export const NODE_TYPES = ["corner", "smooth", "symmetric"] as const;
/** How the two handles of a node keep to each other: not at all, in one line, or as mirror images. */
export type NodeType = (typeof NODE_TYPES)[number];

/** A node of a drawn outline. Its handles are relative to it; without one the curve leaves straight. */
export interface NodeValue {
  readonly x: NumberValue;
  readonly y: NumberValue;
  readonly in?: PairValue;
  readonly out?: PairValue;
  readonly type?: NodeType;
}

export interface DrawnPathValue {
  readonly closed?: boolean;
  readonly nodes: readonly NodeValue[];
}

/** One step of a walk: go and draw, turn clockwise, go without drawing, or repeat other steps. */
export type WalkStepValue =
  | { readonly go: NumberValue }
  | { readonly turn: NumberValue }
  | { readonly skip: NumberValue }
  | { readonly times: NumberValue; readonly steps: readonly WalkStepValue[] };

/** Points of a freehand stroke in the order they were drawn: x, y in millimetres, pressure from 0 to 1. */
export type StrokeValue = readonly (readonly [x: number, y: number, pressure: number])[];

/** What one stroke has of its own, in place of what the motif says. */
export interface StrokeStyle {
  readonly width?: number;
  readonly color?: string;
}

/** What lettering stands on: a circle about the origin, or another part's outline. */
export type TextLineValue =
  | {
      readonly radius: NumberValue;
      /** Where it begins, degrees. */
      readonly start?: NumberValue;
      /** Where it ends; letters are spread to reach it. */
      readonly end?: NumberValue;
      readonly inside?: boolean;
    }
  | {
      readonly part: string;
      /** Shares of the line's length, 0…1. */
      readonly start?: NumberValue;
      readonly end?: NumberValue;
      readonly inside?: boolean;
    };

/** One shape of an imported picture, cleaned: millimetres about the picture's middle. */
export interface SvgShapeValue {
  /** Path data of M, L, C and Z. */
  readonly d: string;
  readonly fill: string | null;
  readonly rule?: "nonzero" | "evenodd";
  readonly line?: {
    readonly color: string;
    readonly width: number;
    readonly cap?: Cap;
    readonly join?: LineJoin;
    readonly dash?: readonly number[];
  };
  readonly opacity?: number;
}

/** An imported picture at its own size, millimetres. */
export interface SvgSourceValue {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly SvgShapeValue[];
}

/** A motif that is part of another one. */
export interface NestedMotif extends StoredFields {
  readonly at?: Partial<PlaceValue>;
}

/** The two sides of a free lattice's cell. */
export interface LatticeSidesValue {
  readonly a: PairValue;
  readonly b: PairValue;
}

export const ALTERNATIONS = ["none", "flip", "turn"] as const;
/** What is done to every other column or row. */
export type Alternation = (typeof ALTERNATIONS)[number];

export interface AlternateValue {
  readonly columns?: Alternation;
  readonly rows?: Alternation;
}

/** How copies grow along a spiral: in proportion to the radius, or from the first to the last. */
export type SpiralSizeValue = "radius" | { readonly from: NumberValue; readonly to: NumberValue };

/** Fields that hold more than a number, a pair or a choice. */
export type StructureValue =
  | readonly DrawnPathValue[]
  | readonly WalkStepValue[]
  | readonly StrokeValue[]
  | readonly (StrokeStyle | null)[]
  | readonly NumberValue[]
  | readonly string[]
  | NestedMotif
  | readonly NestedMotif[]
  | TextLineValue
  | SvgSourceValue
  | LatticeSidesValue
  | AlternateValue
  | Exclude<SpiralSizeValue, string>;

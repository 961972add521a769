import type { GradientOver, LineGradientOver } from "../finish/gradient";
import type { LinePlace } from "../finish/line/lineShape";
import type { RampBy } from "../finish/paint";
import type { NumberValue } from "../formula/numbers";
import type { OffsetCorners } from "../geometry/offset/offset";
import type { FacePaint, JoinMode } from "../join/modes";
import type { PairValue, PlaceValue, StoredFields } from "./field";
import type { NestedMotif } from "./structures";
import type { Unit } from "./units";

/** The version written into every design file. */
export const FORMAT = "twin-petal/1";

/** Parts are shown and made, or only seen on the desk, or only cut, keep and lead. */
export const ROLES = ["show", "guide", "tool"] as const;
export type Role = (typeof ROLES)[number];

/** CSS blend modes, under their CSS names. */
export const BLENDS = [
  "normal",
  "multiply",
  "screen",
  "overlay",
  "darken",
  "lighten",
  "color-dodge",
  "color-burn",
  "hard-light",
  "soft-light",
  "difference",
  "exclusion",
  "hue",
  "saturation",
  "color",
  "luminosity",
] as const;
export type Blend = (typeof BLENDS)[number];

export const CAPS = ["butt", "round", "square"] as const;
export type Cap = (typeof CAPS)[number];
export const JOINS = ["miter", "round", "bevel"] as const;
export type LineJoin = (typeof JOINS)[number];

/** `#RRGGBB`, `#RRGGBBAA` or `palette:name`. */
export type ColorValue = string;

export interface CycleFill {
  readonly kind: "cycle";
  readonly colors: readonly ColorValue[];
  /** What is counted: "index", "ring", "row", "column", "distance", "angle", or "rule:N" with N counted from 1. */
  readonly by: string;
}

/** A colour at a place of a ramp, 0…1. */
export interface StopValue {
  readonly at: NumberValue;
  readonly color: ColorValue;
}

/** Colours mixed along the copies: by number, by distance or direction from the sheet's centre, or as rules say. */
export interface RampFill {
  readonly kind: "ramp";
  readonly stops: readonly StopValue[];
  readonly by: RampBy;
}

interface GradientFields {
  readonly stops: readonly StopValue[];
  readonly midpoint: NumberValue;
  readonly over: GradientOver | LineGradientOver;
}

/** Colours along a line over each copy or the whole part; 0° is up. */
export interface LinearFill extends GradientFields {
  readonly kind: "linear";
  readonly angle: NumberValue;
}

/** Colours from a point outwards; place in shares of the box, radius in shares of half its longer side. */
export interface RadialFill extends GradientFields {
  readonly kind: "radial";
  readonly center: PairValue;
  readonly radius: NumberValue;
}

export type GradientFill = LinearFill | RadialFill;

/** A colour at a place in shares of the box, and how far it reaches beside the others. */
export interface PoolValue {
  readonly x: NumberValue;
  readonly y: NumberValue;
  readonly color: ColorValue;
  readonly reach?: NumberValue;
}

/** Placed colours that blend into each other over each copy or the whole part. */
export interface PoolsFill {
  readonly kind: "pools";
  readonly points: readonly PoolValue[];
  readonly over: GradientOver;
}

export type FillValue = ColorValue | CycleFill | RampFill | GradientFill | PoolsFill;

/** A width at a share (0…1) of a line's length. Millimetres. */
export interface SwellValue {
  readonly at: NumberValue;
  readonly width: NumberValue;
}

export interface LineValue {
  /** Millimetres in the motif's own size: a smaller copy has a thinner line. */
  readonly width: NumberValue;
  readonly paint: FillValue;
  readonly cap: Cap;
  readonly join: LineJoin;
  readonly dash: readonly NumberValue[];
  /** Dots with so much between their edges, in place of a line. */
  readonly dots: { readonly gap: NumberValue } | null;
  /** Widths along the line in place of the one width. */
  readonly swell: readonly SwellValue[];
  readonly place: LinePlace;
}

/** A soft copy of what is painted, moved and blurred. Millimetres; opacity 0…1. */
export interface ShadeValue {
  readonly color: ColorValue;
  readonly x: NumberValue;
  readonly y: NumberValue;
  readonly blur: NumberValue;
  readonly opacity: NumberValue;
}

/** Seeded noise: strength 0…1, cells in millimetres, of one colour or many. */
export interface GrainValue {
  readonly amount: NumberValue;
  readonly size: NumberValue;
  readonly seed: NumberValue;
  readonly mono: boolean;
}

/** Facets as of a crystal: size in millimetres, strength 0…1. */
export interface TextureValue {
  readonly kind: "facets";
  readonly size: NumberValue;
  readonly strength: NumberValue;
  readonly seed: NumberValue;
}

export interface Finish {
  readonly fill: FillValue | null;
  readonly line: LineValue | null;
  readonly opacity: NumberValue;
  readonly blend: Blend;
  readonly grain: GrainValue | null;
  readonly texture: TextureValue | null;
  readonly shadow: ShadeValue | null;
  readonly innerShadow: ShadeValue | null;
  readonly glow: ShadeValue | null;
}

export type Motif = NestedMotif;

export interface Rule extends StoredFields {
  readonly on: boolean;
}

/** Outlines beside an outline. */
export interface OffsetValue {
  /** How far the first lies outside, or inside below 0, and each further one from the one before. Millimetres. */
  readonly by: NumberValue;
  readonly times: NumberValue;
  readonly corners: OffsetCorners;
  /** Whether the outline itself stays. */
  readonly keep: boolean;
}

/** A face with a colour of its own; null leaves it hollow. */
export interface OwnFaceValue {
  readonly face: string;
  readonly color: ColorValue | null;
}

/** How a part's copies combine. */
export interface Join {
  readonly mode: JoinMode;
  /** Ids of the parts whose areas are taken away. */
  readonly cutBy: readonly string[];
  /** Id of the part whose area keeps what is in it, or "sheet". */
  readonly inside: string | null;
  /** Whether the motif is kept within the wedge that one fold of the rules owns. */
  readonly trimToWedge: boolean;
  /** Whether stretches that lie on each other are drawn once. */
  readonly dropDoubled: boolean;
  /** Faces: what their colours go by. */
  readonly paint: FacePaint;
  /** Faces: fills in turn by orbit, depth or group; null leaves one hollow. The fill's colours where none are given. */
  readonly colors: readonly (FillValue | null)[];
  /** Faces: those that differ from their orbit, by orbit and number around it: "3.0". */
  readonly own: readonly OwnFaceValue[];
  /** Weave: left free to either side of what lies over. Millimetres. */
  readonly gap: NumberValue;
  /** Weave: crossings turned by hand, by their strands and their number along the first: "0.3.1". */
  readonly flipped: readonly string[];
  readonly offset: OffsetValue | null;
}

export interface Part {
  readonly id: string;
  readonly name: string;
  readonly visible: boolean;
  readonly locked: boolean;
  readonly role: Role;
  readonly at: PlaceValue;
  readonly motif: Motif;
  /** Taken from the motif before any rule, in its own space. */
  readonly cutouts: readonly Motif[];
  readonly rules: readonly Rule[];
  /** Whether copies that only repeat another are left out. */
  readonly oneEach: boolean;
  readonly join: Join;
  readonly finish: Finish;
}

export interface Sheet {
  readonly width: NumberValue;
  readonly height: NumberValue;
  readonly unit: Unit;
  readonly margin: NumberValue;
  /** A fill over the whole sheet; colours that would take turns count as their first. */
  readonly ground: FillValue | null;
}

export interface NamedNumber {
  readonly name: string;
  readonly value: NumberValue;
  readonly min?: number;
  readonly max?: number;
  readonly step?: number;
}

export interface PaletteColor {
  readonly name: string;
  readonly color: string;
}

/** A line or star to draw by; seen on the desk, never made. */
export type Guide =
  | { readonly x: NumberValue }
  | { readonly y: NumberValue }
  /** A line at an angle through a point, the sheet's centre unless given. */
  | { readonly angle: NumberValue; readonly through?: PairValue }
  | { readonly star: StarGuide }
  | { readonly polygon: PolygonGuide };

/** Stars and polygons stand about the sheet's centre; their first point looks to `start`. */
export interface StarGuide {
  readonly points: NumberValue;
  readonly outer: NumberValue;
  readonly inner: NumberValue;
  readonly start?: NumberValue;
}

export interface PolygonGuide {
  readonly sides: NumberValue;
  readonly radius: NumberValue;
  readonly start?: NumberValue;
}

/** A whole design with every default in place, save in motifs and rules, which hold only what differs. */
export interface Design {
  readonly format: typeof FORMAT;
  readonly name: string;
  readonly notes: string;
  readonly sheet: Sheet;
  readonly numbers: readonly NamedNumber[];
  readonly palette: readonly PaletteColor[];
  readonly guides: readonly Guide[];
  /** Bottom first. */
  readonly parts: readonly Part[];
}

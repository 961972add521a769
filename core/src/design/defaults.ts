import { motifOf } from "../motif/list";
import { ruleOf } from "../rules/list";
import {
  FORMAT,
  type ColorValue,
  type CycleFill,
  type LinearFill,
  type RadialFill,
  type RampFill,
  type Design,
  type FillValue,
  type Finish,
  type GrainValue,
  type Join,
  type LineValue,
  type Motif,
  type OffsetValue,
  type Part,
  type PoolsFill,
  type Rule,
  type ShadeValue,
  type Sheet,
  type TextureValue,
} from "./design";
import type { Field, FieldTable, FieldValue } from "./field";
import { PLACE_DEFAULT } from "./place";

/** A design file as it may arrive: everything but parts' ids and motifs can be left out. */
export interface DesignFile extends Partial<Omit<Design, "format" | "sheet" | "parts">> {
  readonly format: typeof FORMAT;
  readonly sheet?: SheetFile;
  readonly parts?: readonly PartFile[];
}

interface SheetFile extends Partial<Omit<Sheet, "ground">> {
  readonly ground?: FillFile | null;
}

interface PartFile extends Partial<Omit<Part, "at" | "rules" | "join" | "finish">> {
  readonly id: string;
  readonly motif: Motif;
  readonly at?: Partial<Part["at"]>;
  readonly rules?: readonly (Omit<Rule, "on"> & { readonly on?: boolean; readonly kind: string })[];
  readonly join?: Partial<Omit<Join, "offset" | "colors">> & {
    readonly offset?: Partial<OffsetValue> | null;
    readonly colors?: readonly (FillFile | null)[];
  };
  readonly finish?: Partial<Omit<Finish, "fill" | "line" | Effect>> & {
    readonly fill?: FillFile | null;
    readonly line?: (Partial<Omit<LineValue, "paint">> & { readonly paint?: FillFile }) | null;
    readonly grain?: Partial<GrainValue> | null;
    readonly texture?: Partial<TextureValue> | null;
    readonly shadow?: Partial<ShadeValue> | null;
    readonly innerShadow?: Partial<ShadeValue> | null;
    readonly glow?: Partial<ShadeValue> | null;
  };
}

type FillFile =
  | ColorValue
  | (Omit<CycleFill, "by"> & { readonly by?: CycleFill["by"] })
  | (Omit<RampFill, "by"> & { readonly by?: RampFill["by"] })
  | (Pick<LinearFill, "kind" | "stops"> & Partial<LinearFill>)
  | (Pick<RadialFill, "kind" | "stops"> & Partial<RadialFill>)
  | (Pick<PoolsFill, "kind" | "points"> & Partial<PoolsFill>);

/** What may lie under and over a part's paint. */
type Effect = keyof typeof EFFECT_DEFAULTS;

export const SHEET_DEFAULT: Sheet = { width: 200, height: 200, unit: "mm", margin: 10, ground: "#FFFFFF" };
export const JOIN_DEFAULT: Join = {
  mode: "apart",
  cutBy: [],
  inside: null,
  trimToWedge: false,
  dropDoubled: false,
  paint: "orbit",
  colors: [],
  own: [],
  gap: 0.4,
  flipped: [],
  offset: null,
};
export const OFFSET_DEFAULT: OffsetValue = { by: 2, times: 1, corners: "round", keep: true };
export const FINISH_DEFAULT: Finish = {
  fill: "#1E6F5C",
  line: null,
  opacity: 1,
  blend: "normal",
  grain: null,
  texture: null,
  shadow: null,
  innerShadow: null,
  glow: null,
};
export const LINE_DEFAULT: LineValue = {
  width: 0.5,
  paint: "#2B2140",
  cap: "round",
  join: "round",
  dash: [],
  dots: null,
  swell: [],
  place: "center",
};

const GRAIN: GrainValue = { amount: 0.25, size: 0.4, seed: 1, mono: true };
const TEXTURE: TextureValue = { kind: "facets", size: 6, strength: 0.35, seed: 1 };
const SHADOW: ShadeValue = { color: "#2B2140", x: 1, y: 1.5, blur: 3, opacity: 0.5 };
const INNER_SHADOW: ShadeValue = { color: "#2B2140", x: 0.6, y: 1, blur: 2, opacity: 0.6 };
const GLOW: ShadeValue = { color: "#FFF3C4", x: 0, y: 0, blur: 6, opacity: 0.9 };

/** What each effect has where the file leaves it out. */
export const EFFECT_DEFAULTS = {
  grain: GRAIN,
  texture: TEXTURE,
  shadow: SHADOW,
  innerShadow: INNER_SHADOW,
  glow: GLOW,
} as const;

const GRADIENT_DEFAULT = { midpoint: 0.5, over: "copy" } as const;
export const LINEAR_DEFAULT: Omit<LinearFill, "stops"> = { kind: "linear", angle: 0, ...GRADIENT_DEFAULT };
export const RADIAL_DEFAULT: Omit<RadialFill, "stops"> = {
  kind: "radial",
  center: { x: 0.5, y: 0.5 },
  radius: 1,
  ...GRADIENT_DEFAULT,
};

/** An empty design on the default sheet. */
export function emptyDesign(name: string): Design {
  return { format: FORMAT, name, notes: "", sheet: SHEET_DEFAULT, numbers: [], palette: [], guides: [], parts: [] };
}

/** A part with one motif and nothing else set. */
export function newPart(id: string, name: string, motif: Motif): Part {
  return {
    id,
    name,
    visible: true,
    locked: false,
    role: "show",
    at: PLACE_DEFAULT,
    motif,
    cutouts: [],
    rules: [],
    oneEach: false,
    join: JOIN_DEFAULT,
    finish: FINISH_DEFAULT,
  };
}

/** Puts every default in its place, so that nothing downstream asks twice. */
export function withDefaults(file: DesignFile): Design {
  return {
    ...emptyDesign(file.name ?? "Untitled"),
    notes: file.notes ?? "",
    sheet: fillSheet(file.sheet ?? {}),
    numbers: file.numbers ?? [],
    palette: file.palette ?? [],
    guides: file.guides ?? [],
    parts: (file.parts ?? []).map(fillPart),
  };
}

function fillSheet({ ground, ...rest }: SheetFile): Sheet {
  return { ...SHEET_DEFAULT, ...rest, ...(ground !== undefined && { ground: ground && fillIn(ground) }) };
}

function fillPart(file: PartFile): Part {
  const { fill, line, grain, texture, shadow, innerShadow, glow, ...finish } = file.finish ?? {};
  return {
    ...newPart(file.id, file.name ?? file.id, fillMotif(file.motif)),
    visible: file.visible ?? true,
    locked: file.locked ?? false,
    role: file.role ?? "show",
    at: { ...PLACE_DEFAULT, ...file.at },
    rules: (file.rules ?? []).map((rule) => ({
      ...withoutFieldDefaults(rule, ruleOf(rule.kind)?.fields),
      on: rule.on ?? true,
    })),
    oneEach: file.oneEach ?? false,
    cutouts: (file.cutouts ?? []).map(fillMotif),
    join: {
      ...JOIN_DEFAULT,
      ...file.join,
      colors: (file.join?.colors ?? []).map((color) => (color === null ? null : fillIn(color))),
      offset: file.join?.offset ? { ...OFFSET_DEFAULT, ...file.join.offset } : null,
    },
    finish: {
      ...FINISH_DEFAULT,
      ...finish,
      fill: fill ? fillIn(fill) : fill === null ? null : FINISH_DEFAULT.fill,
      line: line ? { ...LINE_DEFAULT, ...line, paint: fillIn(line.paint ?? LINE_DEFAULT.paint) } : null,
      grain: grain ? { ...GRAIN, ...grain } : null,
      texture: texture ? { ...TEXTURE, ...texture } : null,
      shadow: shadow ? { ...SHADOW, ...shadow } : null,
      innerShadow: innerShadow ? { ...INNER_SHADOW, ...innerShadow } : null,
      glow: glow ? { ...GLOW, ...glow } : null,
    },
  };
}

/** A motif without what is at its default, its place included. */
function fillMotif(motif: Motif): Motif {
  const { at, ...kept } = withoutFieldDefaults(motif, motifOf(motif.kind)?.fields);
  const place = differing(at ?? {}, PLACE_DEFAULT);
  return Object.keys(place).length > 0 ? { ...kept, at: place } : kept;
}

function fillIn(fill: FillFile): FillValue {
  if (typeof fill === "string") return fill;
  switch (fill.kind) {
    case "cycle":
      return { ...fill, by: fill.by ?? "index" };
    case "ramp":
      return { ...fill, by: fill.by ?? "index" };
    case "linear":
      return { ...LINEAR_DEFAULT, ...fill };
    case "radial":
      return { ...RADIAL_DEFAULT, ...fill };
    case "pools":
      return { ...fill, over: fill.over ?? "copy" };
  }
}

/** Whether a field's stored value says no more than its default does. */
export function isFieldDefault(field: Field, stored: FieldValue | undefined): boolean {
  if (stored === undefined) return true;
  switch (field.type) {
    case "pair":
      return isSame(stored, field.default) || (field.default.x === field.default.y && stored === field.default.x);
    case "pivot":
      return isSame(stored, "point" in field.default ? field.default.point : { box: field.default.share });
    case "structure":
      return isSame(stored, field.default);
    default:
      return stored === field.default;
  }
}

/** A motif or rule without the fields that are at their default. */
export function withoutFieldDefaults<S extends { readonly kind: string }>(stored: S, fields: FieldTable = {}): S {
  const kept: S = { ...stored };
  for (const [name, field] of Object.entries(fields)) {
    const entry = Object.entries(stored).find(([key]) => key === name)?.[1];
    if (entry === undefined || isFieldDefault(field, entry)) Reflect.deleteProperty(kept, name);
  }
  return kept;
}

/** The entries of an object that are not what the standard one has. */
export function differing<T extends object>(object: T, standard: object): Partial<T> {
  const kept = { ...object };
  for (const [key, value] of Object.entries(object)) {
    if (isSame(value, Reflect.get(standard, key))) Reflect.deleteProperty(kept, key);
  }
  return kept;
}

/** Same content, whatever the order of the fields. */
export function isSame(a: unknown, b: unknown): boolean {
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null) return a === b;
  const keys = Object.keys(a);
  if (Array.isArray(a) !== Array.isArray(b) || keys.length !== Object.keys(b).length) return false;
  return keys.every((key) => Object.hasOwn(b, key) && isSame(Reflect.get(a, key), Reflect.get(b, key)));
}

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
  type Join,
  type LineValue,
  type Motif,
  type Part,
  type Rule,
  type Sheet,
} from "./design";
import type { Field, FieldTable, FieldValue } from "./field";
import { PLACE_DEFAULT } from "./place";

/** A design file as it may arrive: everything but parts' ids and motifs can be left out. */
export interface DesignFile extends Partial<Omit<Design, "format" | "sheet" | "parts">> {
  readonly format: typeof FORMAT;
  readonly sheet?: Partial<Sheet>;
  readonly parts?: readonly PartFile[];
}

interface PartFile extends Partial<Omit<Part, "at" | "rules" | "join" | "finish">> {
  readonly id: string;
  readonly motif: Motif;
  readonly at?: Partial<Part["at"]>;
  readonly rules?: readonly (Omit<Rule, "on"> & { readonly on?: boolean; readonly kind: string })[];
  readonly join?: Partial<Join>;
  readonly finish?: Partial<Omit<Finish, "fill" | "line">> & {
    readonly fill?: FillFile | null;
    readonly line?: (Partial<Omit<LineValue, "paint">> & { readonly paint?: FillFile }) | null;
  };
}

type FillFile =
  | ColorValue
  | (Omit<CycleFill, "by"> & { readonly by?: CycleFill["by"] })
  | (Omit<RampFill, "by"> & { readonly by?: RampFill["by"] })
  | (Pick<LinearFill, "kind" | "stops"> & Partial<LinearFill>)
  | (Pick<RadialFill, "kind" | "stops"> & Partial<RadialFill>);

export const SHEET_DEFAULT: Sheet = { width: 200, height: 200, unit: "mm", margin: 10, ground: "#FFFFFF" };
export const JOIN_DEFAULT: Join = {
  mode: "apart",
  cutBy: [],
  inside: null,
  trimToWedge: false,
  dropDoubled: false,
  paint: "orbit",
  colors: [],
};
export const FINISH_DEFAULT: Finish = { fill: "#1E6F5C", line: null, opacity: 1, blend: "normal" };
export const LINE_DEFAULT: LineValue = { width: 0.5, paint: "#2B2140", cap: "round", join: "round", dash: [] };

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
    sheet: { ...SHEET_DEFAULT, ...file.sheet },
    numbers: file.numbers ?? [],
    palette: file.palette ?? [],
    guides: file.guides ?? [],
    parts: (file.parts ?? []).map(fillPart),
  };
}

function fillPart(file: PartFile): Part {
  const { fill, line, ...finish } = file.finish ?? {};
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
    join: { ...JOIN_DEFAULT, ...file.join },
    finish: {
      ...FINISH_DEFAULT,
      ...finish,
      fill: fill ? fillIn(fill) : fill === null ? null : FINISH_DEFAULT.fill,
      line: line ? { ...LINE_DEFAULT, ...line, paint: fillIn(line.paint ?? LINE_DEFAULT.paint) } : null,
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

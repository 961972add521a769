import { array, boolean, lazy, mixed, string, ValidationError, type ISchema } from "yup";
import { nameTrouble } from "../formula/numbers";
import { GRADIENT_OVER, LINE_GRADIENT_OVER } from "../finish/gradient";
import { LINE_PLACES } from "../finish/line/lineShape";
import { RAMP_BY } from "../finish/paint";
import { OFFSET_CORNERS } from "../geometry/offset/offset";
import { FACE_PAINTS, JOIN_MODES } from "../join/modes";
import { MOTIFS, motifOf } from "../motif/list";
import { RULES, ruleOf } from "../rules/list";
import { BLENDS, CAPS, FORMAT, JOINS, ROLES } from "./design";
import type { FieldTable } from "./field";
import {
  DASH,
  FACET_SIZE,
  GRAIN_SIZE,
  GRADIENT_ANGLE,
  GRADIENT_PLACE,
  GRADIENT_RADIUS,
  GUIDE_ANGLE,
  GUIDE_PLACE,
  GUIDE_POINTS,
  LINE_WIDTH,
  OFFSET_BY,
  OFFSET_TIMES,
  OPACITY,
  POOL_REACH,
  SEED,
  SHADE_BLUR,
  SHADE_PLACE,
  SHEET_MARGIN,
  SHEET_SIDE,
  STOP,
  WEAVE_GAP,
} from "./designLimits";
import {
  LONGEST_NAME,
  LONGEST_NOTES,
  MOST_BY_HAND,
  MOST_COLORS,
  MOST_GUIDES,
  MOST_JOINED,
  MOST_NESTED,
  MOST_NUMBERS,
  MOST_PARTS,
  MOST_POOLS,
  MOST_RULES,
} from "./most";
import { PLACE_LIMITS } from "./place";
import { color, exactly, fieldSchema, isRecord, numberValue, pairOf, plainNumber, words } from "./schemaPieces";
import { UNITS } from "./units";

/** Every entry's name differs from the others'; each repeated one is an error at its own path. */
function named(key: "name" | "id") {
  return function (entries: unknown, test: { path: string; createError: (e: object) => ValidationError }) {
    if (!Array.isArray(entries)) return true;
    const seen = new Set<unknown>();
    const errors: ValidationError[] = [];
    entries.forEach((entry: unknown, index) => {
      const name = isRecord(entry) ? entry[key] : undefined;
      if (typeof name !== "string") return;
      if (seen.has(name)) {
        const path = `${test.path}[${index}].${key}`;
        errors.push(test.createError({ path, message: `“${name}” is there already; each needs its own` }));
      }
      seen.add(name);
    });
    return errors.length === 0 || new ValidationError(errors, entries, test.path);
  };
}

/** A field this version accepts only at its default, because it cannot compute anything else yet. */
function onlyDefault(standards: Readonly<Record<string, unknown>>) {
  return mixed()
    .nullable()
    .test("only-default", function (value: unknown) {
      if (value === undefined || value === null || (Array.isArray(value) && value.length === 0)) return true;
      const rest = isRecord(value) ? Object.entries(value) : [];
      const fits =
        isRecord(value) && rest.every(([key, entry]) => JSON.stringify(entry) === JSON.stringify(standards[key]));
      return fits || this.createError({ message: "asks for something this version cannot compute; leave it out" });
    });
}

function place() {
  return exactly({
    x: numberValue(PLACE_LIMITS.x),
    y: numberValue(PLACE_LIMITS.y),
    turn: numberValue(PLACE_LIMITS.turn),
    size: numberValue(PLACE_LIMITS.size),
  });
}

/** One of several kinds, each with its own fields. */
function byKind(
  kinds: readonly string[],
  fieldsOf: (kind: string) => FieldTable | undefined,
  shared: Readonly<Record<string, ISchema<unknown>>>,
) {
  return lazy((value: unknown) => {
    const kind = isRecord(value) ? value.kind : undefined;
    const fields = typeof kind === "string" ? fieldsOf(kind) : undefined;
    const kindOnly = { kind: string().required().oneOf(kinds) };
    if (!fields) return mixed().test("kind", kindTest(kinds));
    const own = Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, fieldSchema(field)]));
    return exactly({ ...kindOnly, ...shared, ...own });
  });
}

function kindTest(kinds: readonly string[]) {
  return function (this: { path: string; createError: (e: object) => ValidationError }, value: unknown) {
    if (!isRecord(value)) return this.createError({ message: `must be an object with a kind: ${kinds.join(", ")}` });
    const message = `must be one of ${kinds.join(", ")}`;
    return this.createError({ path: `${this.path}.kind`, message });
  };
}

const cycle = exactly({
  kind: string().required().oneOf(["cycle", "ramp", "linear", "radial", "pools"]),
  colors: array(color().required()).min(1).max(100).required(),
  by: string().matches(
    /^(index|ring|row|column|distance|angle|rule:[1-9]\d?)$/,
    "must be index, ring, row, column, distance, angle or rule:N, rules counted from 1",
  ),
});

const stops = () =>
  array(exactly({ at: numberValue(STOP).required(), color: color().required() }))
    .min(1)
    .max(100)
    .required();

const pool = exactly({
  x: numberValue(GRADIENT_PLACE).required(),
  y: numberValue(GRADIENT_PLACE).required(),
  color: color().required(),
  reach: numberValue(POOL_REACH),
});

/** The kinds of fill; what a gradient may lie over differs between fills and lines. */
function fillsOver(over: readonly string[]): Readonly<Record<string, ReturnType<typeof exactly>>> {
  const kind = string().required();
  const gradient = { stops: stops(), midpoint: numberValue(STOP), over: string().oneOf(over) };
  const center = pairOf(GRADIENT_PLACE).default(undefined).optional();
  return {
    cycle,
    ramp: exactly({ kind, stops: stops(), by: string().oneOf(RAMP_BY) }),
    linear: exactly({ kind, angle: numberValue(GRADIENT_ANGLE), ...gradient }),
    radial: exactly({ kind, center, radius: numberValue(GRADIENT_RADIUS), ...gradient }),
    pools: exactly({
      kind,
      points: array(pool).min(1).max(MOST_POOLS).required(),
      over: string().oneOf(GRADIENT_OVER),
    }),
  };
}

function fill(over: readonly string[]) {
  const fills = fillsOver(over);
  return lazy((value: unknown) => {
    if (!isRecord(value)) return color().nullable();
    return typeof value.kind === "string" && Object.hasOwn(fills, value.kind) ? (fills[value.kind] ?? cycle) : cycle;
  });
}

const line = exactly({
  width: numberValue(LINE_WIDTH),
  paint: fill(LINE_GRADIENT_OVER),
  cap: string().oneOf(CAPS),
  join: string().oneOf(JOINS),
  dash: array(numberValue(DASH).required()).max(20),
  dots: exactly({ gap: numberValue(DASH).required() })
    .nullable()
    .default(undefined),
  swell: array(exactly({ at: numberValue(STOP).required(), width: numberValue(LINE_WIDTH).required() })).max(100),
  place: string().oneOf(LINE_PLACES),
})
  .nullable()
  .default(undefined);

function shade() {
  return exactly({
    color: color(),
    x: numberValue(SHADE_PLACE),
    y: numberValue(SHADE_PLACE),
    blur: numberValue(SHADE_BLUR),
    opacity: numberValue(OPACITY),
  })
    .nullable()
    .default(undefined);
}

const finish = exactly({
  fill: fill(GRADIENT_OVER),
  line,
  opacity: numberValue(OPACITY),
  blend: string().oneOf(BLENDS),
  grain: exactly({
    amount: numberValue(OPACITY),
    size: numberValue(GRAIN_SIZE),
    seed: numberValue(SEED),
    mono: boolean(),
  })
    .nullable()
    .default(undefined),
  texture: exactly({
    kind: string().oneOf(["facets"]),
    size: numberValue(FACET_SIZE),
    strength: numberValue(OPACITY),
    seed: numberValue(SEED),
  })
    .nullable()
    .default(undefined),
  shadow: shade(),
  innerShadow: shade(),
  glow: shade(),
});

const join = exactly({
  mode: string().oneOf(JOIN_MODES),
  cutBy: array(string().required()).max(MOST_JOINED),
  inside: string().nullable(),
  trimToWedge: boolean(),
  dropDoubled: boolean(),
  paint: string().oneOf(FACE_PAINTS),
  colors: array(fill(GRADIENT_OVER)).max(MOST_COLORS),
  own: array(exactly({ face: string().required().max(40), color: color().nullable() })).max(MOST_BY_HAND),
  gap: numberValue(WEAVE_GAP),
  flipped: array(string().required().max(40)).max(MOST_BY_HAND),
  offset: exactly({
    by: numberValue(OFFSET_BY),
    times: numberValue(OFFSET_TIMES),
    corners: string().oneOf(OFFSET_CORNERS),
    keep: boolean(),
  })
    .nullable()
    .default(undefined),
});

/** Any motif, with the place it is set at. */
export const motifSchema = byKind(
  MOTIFS.map(({ kind }) => kind),
  (kind) => motifOf(kind)?.fields,
  { at: place().default(undefined) },
);

const part = exactly({
  id: string()
    .required()
    .matches(/^[a-z0-9-]{1,40}$/, "must be 1 to 40 of a–z, 0–9 and -"),
  name: words(LONGEST_NAME),
  visible: boolean(),
  locked: boolean(),
  role: string().oneOf(ROLES),
  at: place().default(undefined),
  motif: motifSchema,
  cutouts: array(motifSchema).max(MOST_NESTED),
  rules: array(
    byKind(
      RULES.map(({ kind }) => kind),
      (kind) => ruleOf(kind)?.fields,
      { on: boolean() },
    ),
  ).max(MOST_RULES),
  oneEach: boolean(),
  join: join.default(undefined),
  finish: finish.default(undefined),
  solid: onlyDefault({}),
});

const numberName = string()
  .required()
  .test("number-name", function (name) {
    const trouble = nameTrouble(name);
    return trouble === null || this.createError({ message: trouble });
  });

const namedNumber = exactly({
  name: numberName,
  value: mixed().test("kind", "must be a finite number or a formula", (value: unknown) => {
    return typeof value === "string" || (typeof value === "number" && Number.isFinite(value));
  }),
  min: plainNumber(),
  max: plainNumber(),
  step: plainNumber(),
});

const paletteColor = exactly({
  name: string()
    .required()
    .matches(/^[^\s:][^:]{0,39}$/, "must be 1 to 40 characters without a colon"),
  color: color()
    .required()
    .test("own", "must be #RRGGBB or #RRGGBBAA", (value) => !String(value).startsWith("palette:")),
});

const guide = lazy((value: unknown) => {
  const radius = numberValue(SHEET_SIDE).required();
  const count = numberValue(GUIDE_POINTS).required();
  const start = numberValue(GUIDE_ANGLE);
  if (isRecord(value) && "star" in value) {
    return exactly({ star: exactly({ points: count, outer: radius, inner: radius, start }) });
  }
  if (isRecord(value) && "polygon" in value) return exactly({ polygon: exactly({ sides: count, radius, start }) });
  if (isRecord(value) && "angle" in value) {
    const through = exactly({ x: numberValue(GUIDE_PLACE).required(), y: numberValue(GUIDE_PLACE).required() });
    return exactly({ angle: numberValue(GUIDE_ANGLE).required(), through: through.default(undefined).optional() });
  }
  const key = isRecord(value) && "y" in value ? "y" : "x";
  return exactly({ [key]: numberValue(GUIDE_PLACE).required() });
});

/** The design file, version 1. Validate strictly, with a SchemaContext. */
export const designSchema = exactly({
  format: string().required().oneOf([FORMAT]),
  name: words(LONGEST_NAME),
  notes: words(LONGEST_NOTES),
  sheet: exactly({
    width: numberValue(SHEET_SIDE),
    height: numberValue(SHEET_SIDE),
    unit: string().oneOf(UNITS),
    margin: numberValue(SHEET_MARGIN),
    ground: fill(GRADIENT_OVER),
  }).default(undefined),
  numbers: array(namedNumber).max(MOST_NUMBERS).test("names", named("name")),
  palette: array(paletteColor).max(MOST_COLORS).test("names", named("name")),
  guides: array(guide).max(MOST_GUIDES),
  parts: array(part).max(MOST_PARTS).test("ids", named("id")),
});

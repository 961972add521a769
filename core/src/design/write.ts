import { motifOf } from "../motif/list";
import { ruleOf } from "../rules/list";
import {
  differing,
  EFFECT_DEFAULTS,
  emptyDesign,
  FINISH_DEFAULT,
  JOIN_DEFAULT,
  LINE_DEFAULT,
  LINEAR_DEFAULT,
  OFFSET_DEFAULT,
  RADIAL_DEFAULT,
  newPart,
  SHEET_DEFAULT,
  withoutFieldDefaults,
} from "./defaults";
import type { Design, Finish, Motif, Part, Rule } from "./design";
import { PLACE_DEFAULT } from "./place";

type Json = Readonly<Record<string, unknown>>;

/** The design as plain data with every default left out: what is stored, sent and embedded. */
export function toFile(design: Design): Json {
  const { format, name, notes, sheet, parts, ...lists } = design;
  const standard = emptyDesign("");
  return {
    format,
    ...differing({ name, notes }, standard),
    ...some("sheet", sheetToFile(sheet)),
    ...differing(lists, standard),
    ...(parts.length > 0 && { parts: parts.map(partToFile) }),
  };
}

function sheetToFile(sheet: Design["sheet"]): Json {
  const { ground, ...rest } = differing(sheet, SHEET_DEFAULT);
  return { ...rest, ...(ground !== undefined && { ground: fillToFile(ground) }) };
}

/** The design file's text: UTF-8 JSON, two spaces in, the same bytes for the same design. */
export function writeDesign(design: Design): string {
  return `${JSON.stringify(toFile(design), null, 2)}\n`;
}

function partToFile(part: Part): Json {
  const { id, motif, cutouts, at, rules, join, finish, ...rest } = part;
  return {
    id,
    ...differing(rest, newPart(id, id, motif)),
    ...some("at", differing(at, PLACE_DEFAULT)),
    motif: motifToFile(motif),
    ...(cutouts.length > 0 && { cutouts: cutouts.map(motifToFile) }),
    ...(rules.length > 0 && { rules: rules.map(ruleToFile) }),
    ...some("join", joinToFile(join)),
    ...some("finish", finishToFile(finish)),
  };
}

function motifToFile(motif: Motif): Json {
  const { at, ...kept } = withoutFieldDefaults(motif, motifOf(motif.kind)?.fields);
  return { ...kept, ...some("at", differing(at ?? {}, PLACE_DEFAULT)) };
}

function ruleToFile(rule: Rule): Json {
  const { on, ...kept } = withoutFieldDefaults(rule, ruleOf(rule.kind)?.fields);
  return { ...kept, ...(!on && { on }) };
}

function finishToFile(finish: Finish): Json {
  const { line, fill, ...rest } = differing(finish, FINISH_DEFAULT);
  return {
    ...(fill !== undefined && { fill: fillToFile(fill) }),
    ...rest,
    ...effectsToFile(finish),
    ...(finish.line && line !== undefined && { line: lineToFile(finish.line) }),
  };
}

function joinToFile(join: Part["join"]): Json {
  const { offset, colors, ...rest } = differing(join, JOIN_DEFAULT);
  return {
    ...rest,
    ...(colors && { colors: colors.map(fillToFile) }),
    ...(offset && { offset: differing(offset, OFFSET_DEFAULT) }),
  };
}

function effectsToFile(finish: Finish): Json {
  const kept: Record<string, unknown> = {};
  for (const [name, standard] of Object.entries(EFFECT_DEFAULTS)) {
    const effect: unknown = Reflect.get(finish, name);
    // The kind is always written: it says which texture it is.
    if (typeof effect === "object" && effect !== null) kept[name] = differing(effect, { ...standard, kind: "" });
  }
  return kept;
}

function lineToFile(line: NonNullable<Finish["line"]>): Json {
  const { paint, ...rest } = differing(line, LINE_DEFAULT);
  return { ...rest, ...(paint !== undefined && { paint: fillToFile(paint) }) };
}

/** What each kind of fill has where the file leaves it out. */
const FILL_DEFAULTS: Readonly<Record<string, Json>> = {
  cycle: { by: "index" },
  ramp: { by: "index" },
  linear: { ...LINEAR_DEFAULT },
  radial: { ...RADIAL_DEFAULT },
  pools: { over: "copy" },
};

function fillToFile(fill: unknown): unknown {
  if (typeof fill !== "object" || fill === null || !("kind" in fill) || typeof fill.kind !== "string") return fill;
  return { kind: fill.kind, ...differing(fill, FILL_DEFAULTS[fill.kind] ?? {}) };
}

function some(key: string, content: Json): Json {
  return Object.keys(content).length > 0 ? { [key]: content } : {};
}

import { motifOf, ruleOf, type Design, type FieldTable } from "@twin-petal/core";
import type { Draft } from "immer";

/** Is shown a formula, what holds it, and under which key. */
export type Visitor = (formula: string, holder: object, key: string) => void;

/** Fields of no definition, and within structures, that hold words rather than formulas. */
const WORDS = new Set([
  "alternate",
  "avoid",
  "blend",
  "cap",
  "color",
  "colors",
  "corners",
  "cutBy",
  "face",
  "fill",
  "flipped",
  "ground",
  "id",
  "inside",
  "join",
  "kind",
  "mode",
  "name",
  "notes",
  "over",
  "paint",
  "part",
  "place",
  "role",
  "source",
  "styles",
  "type",
  "unit",
]);

/** Shows every formula of a design. */
export function visitDesign({ sheet, numbers, guides, parts }: Design | Draft<Design>, visit: Visitor): void {
  for (const holder of [sheet, numbers, guides]) visitFormulas(holder, visit);
  for (const { motif, cutouts, rules, ...rest } of parts) {
    for (const own of [motif, ...cutouts]) visitMotif(own, visit);
    for (const rule of rules) visitRule(rule, visit);
    visitFormulas(rest, visit);
  }
}

export function visitMotif(motif: { readonly kind: string }, visit: Visitor): void {
  visitFields(motif, motifOf(motif.kind)?.fields ?? {}, visit);
}

export function visitRule(rule: { readonly kind: string }, visit: Visitor): void {
  visitFields(rule, ruleOf(rule.kind)?.fields ?? {}, visit);
}

/** Fields know whether they hold words: the same name may mean a formula in one definition and a choice in another. */
function visitFields(holder: object, fields: FieldTable, visit: Visitor): void {
  const entries: [string, unknown][] = Object.entries(holder);
  for (const [key, value] of entries) {
    const type = fields[key]?.type ?? "structure";
    if (type === "choice" || type === "text" || type === "toggle") continue;
    if (typeof value === "string" && type !== "structure") visit(value, holder, key);
    else visitValue(key, value, visit);
  }
}

/** Walks plain data and shows every formula in it. */
export function visitFormulas(holder: object, visit: Visitor): void {
  const entries: [string, unknown][] = Object.entries(holder);
  for (const [key, value] of entries) {
    if (typeof value === "string" && !isWord(key, holder)) visit(value, holder, key);
    else visitValue(key, value, visit);
  }
}

/** What colours go by is a word, how far an offset goes is none: only fills have a kind. */
function isWord(key: string, holder: object): boolean {
  return key === "by" ? "kind" in holder : WORDS.has(key);
}

/** What a value holds: another motif, or things that have formulas of their own; a list of words has none. */
function visitValue(key: string, value: unknown, visit: Visitor): void {
  if (typeof value !== "object" || value === null) return;
  if (isMotif(value)) visitMotif(value, visit);
  else if (Array.isArray(value) && WORDS.has(key)) value.forEach((one) => visitValue("", one, visit));
  else visitFormulas(value, visit);
}

function isMotif(value: object): value is { readonly kind: string } {
  return "kind" in value && typeof value.kind === "string" && motifOf(value.kind) !== undefined;
}

import {
  isInList,
  isNumberValue,
  motifOf,
  ruleOf,
  type Design,
  type Difference,
  type FieldTable,
  type Part,
} from "@twin-petal/core";
import { fieldWords } from "@/desk/fields/fieldWords";
import { kindName } from "@/desk/column/motif/motifKinds";

/** A difference as it is said: what it is about, what one has there and what the other. */
export interface SaidDifference {
  readonly about: string;
  readonly before: string;
  readonly after: string;
}

/** Says a difference of two designs in the words of the desk. */
export function differenceWords(from: Design, to: Design, difference: Difference): SaidDifference {
  const { kind, part: id, before, after } = difference;
  const part = [...from.parts, ...to.parts].find((known) => known.id === id);
  const name = part ? `“${part.name}”` : "";
  if (kind !== "value" && isInList(difference)) return entryWords(difference, name);
  if (kind === "added") return { about: name, before: "not there", after: "a part" };
  if (kind === "removed") return { about: name, before: "a part", after: "not there" };
  if (kind === "order") return { about: "the parts", before: "in this order", after: "in another order" };
  const usual = usualAt(part, difference.at);
  return { about: placeWords(from, to, difference, name), before: said(before ?? usual), after: said(after ?? usual) };
}

/** What the entries of a list are called. */
const ENTRY_WORDS: Readonly<Record<string, string>> = {
  rules: "rule",
  cutouts: "shape cut out",
  numbers: "number",
  palette: "colour",
  groups: "group",
};

/** Something put into a list, taken out of it, or moved in it. */
function entryWords({ kind, at, before, after }: Difference, part: string): SaidDifference {
  const list = String(at.findLast((key) => typeof key === "string"));
  const entry = ENTRY_WORDS[list] ?? "entry";
  const of = part === "" ? "" : `${part}, `;
  if (kind === "order")
    return { about: `${of}${fieldWords(list)}`, before: "in this order", after: "in another order" };
  const thing = `${of}${entry} ${said(kind === "added" ? after : before)}`;
  return kind === "added"
    ? { about: thing, before: "not there", after: "there" }
    : { about: thing, before: "there", after: "not there" };
}

/** What a motif's or a rule's field is where nothing is stored. */
function usualAt(part: Part | undefined, [first, ...rest]: Difference["at"]): unknown {
  if (!part) return undefined;
  const [index, inRule, ...deeper] = rest;
  if (first === "motif" && rest.length === 1) return defaultOf(motifOf(part.motif.kind)?.fields, index);
  if (first !== "rules" || typeof index !== "number" || deeper.length > 0) return undefined;
  return defaultOf(ruleOf(part.rules[index]?.kind ?? "")?.fields, inRule);
}

function defaultOf(fields: FieldTable | undefined, key: string | number | undefined): unknown {
  const field = typeof key === "string" ? fields?.[key] : undefined;
  return field && "default" in field ? field.default : undefined;
}

function placeWords(from: Design, to: Design, { part: id, at }: Difference, name: string): string {
  const part = from.parts.find((known) => known.id === id) ?? to.parts.find((known) => known.id === id);
  const [first, index, ...rest] = at;
  const keys = (entries: readonly (string | number)[]) =>
    entries.map((key) => (typeof key === "number" ? String(key + 1) : fieldWords(key))).join(" ");
  if (!part) return keys(at);
  if (first === "rules" && typeof index === "number") {
    return `${name}, ${part.rules[index]?.kind ?? "rule"}: ${keys(rest)}`;
  }
  if (first === "motif" && index !== undefined)
    return `${name}, ${kindName(part.motif.kind)}: ${keys([index, ...rest])}`;
  return `${name}: ${keys(at)}`;
}

/** A value in a few words. */
function said(value: unknown): string {
  if (value === undefined || value === null || value === "") return "as usual";
  if (isNumberValue(value)) return typeof value === "number" ? String(Number(value.toFixed(4))) : value;
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (Array.isArray(value)) return value.length === 0 ? "none" : listWords(value);
  return objectWords(value);
}

function listWords(list: readonly unknown[]): string {
  const words = list.map((entry) => (typeof entry === "object" && entry !== null ? objectWords(entry) : String(entry)));
  return words.length > 4 ? `${words.slice(0, 4).join(", ")} and ${words.length - 4} more` : words.join(", ");
}

function objectWords(value: object): string {
  if ("kind" in value && typeof value.kind === "string") return value.kind;
  if ("name" in value && typeof value.name === "string") return value.name;
  if ("x" in value && "y" in value) return `${said(value.x)} across, ${said(value.y)} down`;
  return "set otherwise";
}

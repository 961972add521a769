import type { NumberValue } from "../formula/numbers";

/** Whatever can be rewritten: a field, as far as that goes. */
interface Rewritable {
  rewrite: (stored: unknown, by: Rewriting, path: string) => unknown;
}

/** What can be rewritten in an object, by name. */
export type RewritableTable = Readonly<Record<string, Rewritable>>;

/**
 * What is to become of the values a walk meets: what is not named stays as it is. Every path is that of a problem
 * there: `parts[2].rules[0].count`.
 */
export interface Rewriting {
  /** The fields of a kind of motif, for motifs that stand inside others; undefined for a kind there is none of. */
  readonly motifFields: (kind: string) => RewritableTable | undefined;
  /** What stands in a formula's place; `bound` are names that mean something of a copy there, whatever numbers there are. */
  readonly formula?: (formula: string, path: string, bound: readonly string[]) => NumberValue;
  /** What stands in the place of another part's id; undefined takes it out, and with it what cannot be without. */
  readonly part?: (id: string, path: string) => string | undefined;
  /** What stands in a colour's place: `#RRGGBB`, `#RRGGBBAA` or `palette:name`. */
  readonly color?: (color: string, path: string) => string;
}

/** A number or a formula, rewritten. */
export function rewriteNumber(stored: unknown, by: Rewriting, path: string, bound: readonly string[] = []): unknown {
  return typeof stored === "string" && by.formula ? by.formula(stored, path, bound) : stored;
}

/** An object with each of its entries rewritten; the same object where none changed. */
export function rewriteEntries(
  stored: Readonly<Record<string, unknown>>,
  rewrite: (key: string, value: unknown) => unknown,
): Readonly<Record<string, unknown>> {
  let changed: Record<string, unknown> | null = null;
  for (const [key, value] of Object.entries(stored)) {
    const next = rewrite(key, value);
    if (next === value) continue;
    changed ??= { ...stored };
    if (next === undefined) Reflect.deleteProperty(changed, key);
    else changed[key] = next;
  }
  return changed ?? stored;
}

/** A list with each of its entries rewritten, those that cannot stay left out; the same list where none changed. */
export function rewriteList(
  stored: readonly unknown[],
  rewrite: (value: unknown, index: number) => unknown,
): readonly unknown[] {
  const next = stored.map(rewrite);
  if (next.every((value, index) => value === stored[index])) return stored;
  return next.filter((value) => value !== undefined);
}

import type { Field, FieldTable, NumberTraits } from "../../core/src/fields/field";
import { pick, upTo, type Random } from "../mutate/pick";

/** A number a field may hold: near its usual one, anywhere by its size, or at an end. */
function numberWithin(traits: NumberTraits, usual: number, random: Random): number {
  const near = usual * 10 ** (1.4 * (random() - 0.4));
  const value = pick([() => near, () => near, () => bySize(traits, random), () => atAnEnd(traits, random)], random)();
  const kept = Math.min(traits.max, Math.max(traits.min, value));
  return traits.whole ? Math.round(kept) : Number(kept.toPrecision(4));
}

/** Any size is as likely as ten times as much. */
function bySize({ min, max }: NumberTraits, random: Random): number {
  const least = Math.max(min, 1e-3);
  const size = least * (Math.max(max, least) / least) ** random();
  return min < 0 && random() < 0.3 ? -size : size;
}

const atAnEnd = ({ min, max }: NumberTraits, random: Random) => (random() < 0.5 ? min : max);

/** What a field may hold; undefined where that is not known by itself, or nothing is said. */
function valueWithin(field: Field, random: Random): unknown {
  if (field.type === "number") return numberWithin(field, field.default, random);
  if (field.type === "following") return random() < 0.2 ? numberWithin(field, 10, random) : undefined;
  if (field.type === "pair") {
    const x = numberWithin(field, field.default.x, random);
    return { x, y: random() < 0.5 ? x : numberWithin(field, field.default.y, random) };
  }
  if (field.type === "choice") return pick(field.choices, random);
  if (field.type === "toggle") return random() < 0.5;
  if (field.type === "text") return "Brinewick Baths".slice(0, 1 + upTo(field.longest, random));
  return "fields" in field && isTable(field.fields) ? valuesWithin(field.fields, random) : undefined;
}

function isTable(fields: unknown): fields is FieldTable {
  return typeof fields === "object" && fields !== null;
}

/** Some fields of a table, each with something it may hold; the rest is left out. */
export function valuesWithin(fields: FieldTable, random: Random, share = 0.5): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(fields).flatMap(([name, field]) => {
      const value = random() < share ? valueWithin(field, random) : undefined;
      return value === undefined ? [] : [[name, value] as const];
    }),
  );
}

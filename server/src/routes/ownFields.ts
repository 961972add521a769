/**
 * What an object holds under the names that are looked for, and nothing else: names that every object of the language knows
 * (“constructor”) are not taken for fields.
 */
export function ownFields(given: unknown, names: readonly string[]): Record<string, unknown> {
  if (typeof given !== "object" || given === null) return {};
  const own = new Map<string, unknown>(Object.entries(given));
  return Object.fromEntries(names.flatMap((name) => (own.has(name) ? [[name, own.get(name)]] : [])));
}

import { ValidationError } from "yup";
import { entriesOf, type Entries } from "./entries";
import type { FieldInfo, FieldOf, StructureField } from "./field";
import { given } from "./given";
import { rewriteList } from "./rewriting";
import { isRecord } from "./stored";

interface Extent {
  /** Entries it may have. */
  readonly most: number;
  readonly least?: number;
  /** The field in which no two entries may be the same. */
  readonly unique?: "name" | "id";
}

/** Values of one kind one after the other; none where the file leaves it out. */
export function list<T, S>(
  entry: FieldInfo & FieldOf<T, S>,
  { most, least = 0, unique }: Extent,
): StructureField & FieldOf<readonly T[], readonly S[]> {
  return {
    type: "structure",
    schema() {
      const whole = (entries: Entries) => {
        const full = least > 0 ? entries.min(least) : entries;
        return unique ? full.test("unique", allDiffer(unique)) : full;
      };
      return entriesOf(most, given(entry).schema(), whole, entry.isRight);
    },
    isDefault: (stored) => stored === undefined || (Array.isArray(stored) && stored.length === 0),
    complete: (stored) => storedEntries(stored).map((one) => entry.complete(one)),
    brief: (stored) => storedEntries(stored).map((one) => entry.brief(one)),
    resolve: (stored, resolver, path) =>
      storedEntries(stored).map((one, index) => entry.resolve(one, resolver, `${path}[${index}]`)),
    rewrite: (stored, by, path) =>
      Array.isArray(stored) ? rewriteList(stored, (one, index) => entry.rewrite(one, by, `${path}[${index}]`)) : stored,
    words: entry.words,
  };
}

function storedEntries(stored: unknown): readonly unknown[] {
  return Array.isArray(stored) ? stored : [];
}

/** Every entry's name differs from the others'; each repeated one is an error at its own path. */
function allDiffer(key: "name" | "id") {
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

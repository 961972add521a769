import type { ISchema } from "yup";
import type { FieldOf } from "./field";
import type { Resolver } from "./resolver";
import type { Rewriting } from "./rewriting";
import { isSame } from "./stored";

interface LeafParts<T, S> {
  /** What holds when the file leaves it out, as the file would say it. */
  readonly standard: S;
  /** Tells the field's own values from others'. */
  is: (stored: unknown) => stored is S;
  schema: () => ISchema<unknown>;
  isRight?: (stored: unknown) => boolean;
  resolve: (stored: S, resolver: Resolver, path: string) => T;
  rewrite?: (stored: S, by: Rewriting, path: string) => unknown;
  readonly words?: readonly string[];
}

/** A value that is not made of others. */
export function leaf<T, S>({
  standard,
  is,
  schema,
  isRight,
  resolve,
  rewrite,
  words = [],
}: LeafParts<T, S>): FieldOf<T, S> {
  const read = (stored: unknown): S => (is(stored) ? stored : standard);
  return {
    schema,
    ...(isRight && { isRight }),
    isDefault: (stored) => stored === undefined || isSame(stored, standard),
    complete: read,
    brief: (stored) => stored,
    resolve: (stored, resolver, path) => resolve(read(stored), resolver, path),
    rewrite: (stored, by, path) => (rewrite && is(stored) ? rewrite(stored, by, path) : stored),
    words: () => words,
  };
}

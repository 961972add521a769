import { lazy } from "yup";
import { once } from "../geometry/once";
import type { Field, FieldOf, StructureField } from "./field";

/** A field that is made only when it is met, for values that hold others of their own kind. */
export function later(makeOne: () => Field): StructureField & FieldOf<unknown> {
  const make = once(makeOne);
  const schema = once(() => make().schema());
  return {
    type: "structure",
    schema: () => lazy(schema),
    isDefault: (stored) => make().isDefault(stored),
    complete: (stored) => make().complete(stored),
    brief: (stored) => make().brief(stored),
    resolve: (stored, resolver, path) => make().resolve(stored, resolver, path),
    rewrite: (stored, by, path) => make().rewrite(stored, by, path),
    // What it holds is of the same kind as what holds it, and said there.
    words: () => [],
  };
}

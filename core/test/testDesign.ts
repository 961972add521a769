import { readDesign, type Design } from "../src";

/** A readable design around the given parts; fails the test when it is none. */
export function designWith(content: object): Design {
  const { design, problems } = readDesign({ format: "twin-petal/1", ...content });
  if (!design) throw new Error(problems.map(({ path, message }) => `${path}: ${message}`).join("\n"));
  return design;
}

/** A design of one part. */
export function partDesign(motif: object, rules: readonly object[] = [], more: object = {}): Design {
  return designWith({ parts: [{ id: "a", motif, rules, ...more }] });
}

import { readDesign, type Design } from "@twin-petal/core";

/** An empty design of a name. */
export function designOf(name: string): Design {
  const { design } = readDesign({ format: "twin-petal/1", name });
  if (!design) throw new Error("no design");
  return design;
}

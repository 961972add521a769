import { problemLine, readDesign, type Design } from "@twin-petal/core";

/** Small designs to begin from, in the order they are offered. */
const FILES = import.meta.glob<unknown>("../../../starters/*.petal.json", { import: "default", eager: true });

const ORDER = [
  "rosette",
  "mirrored-rosette",
  "rings",
  "sunflower",
  "winding-spiral",
  "stepped-fan",
  "floor",
  "border",
  "woven-knot",
  "walk",
  "drawn-by-hand",
  "solid-rosette",
  "stitched-ring",
];

/** A small design to begin from. */
export interface Starter {
  readonly key: string;
  readonly design: Design;
}

/** Every starter; those that the order does not name come last. */
export const STARTERS: readonly Starter[] = Object.entries(FILES)
  .map(([path, file]) => ({ key: keyOf(path), design: read(path, file) }))
  .sort((a, b) => place(a.key) - place(b.key));

function place(key: string): number {
  const at = ORDER.indexOf(key);
  return at < 0 ? ORDER.length : at;
}

function keyOf(path: string): string {
  return path.replace(/^.*\//, "").replace(/\.petal\.json$/, "");
}

function read(path: string, file: unknown): Design {
  const { design, problems } = readDesign(file);
  if (!design) throw new Error(`${path}: ${problems.map(problemLine).join("; ")}`);
  return design;
}

import { buildScene, JOIN_DEFAULT, type Design, type LinkReport } from "@twin-petal/core";
import { prepareInNode } from "@twin-petal/host";

/** What the wall tells about a design. Lengths in millimetres. */
export interface Summary {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly unit: string;
  /** The count of its widest turn or ring; 1 when it has none. */
  readonly folds: number;
  readonly copies: number;
}

export async function summarise(design: Design): Promise<Summary> {
  await prepareInNode(design, "scene.json");
  // What copies are joined into is not counted, and takes long.
  const apart = { ...design, parts: design.parts.map((part) => ({ ...part, join: JOIN_DEFAULT })) };
  const { sheet, parts } = buildScene(apart);
  const counts = parts.flatMap(({ geometry }) => circling(geometry.links().values()).map(({ count }) => count));
  return {
    name: design.name,
    width: sheet.width,
    height: sheet.height,
    unit: design.sheet.unit,
    folds: Math.max(1, ...counts),
    copies: parts.reduce((sum, { geometry }) => sum + geometry.placements.count, 0),
  };
}

/** The numbers of rules that go around a circle: only those make folds. */
function circling(links: Iterable<readonly LinkReport[]>): LinkReport[] {
  return [...links].flat().filter(({ about }) => about === "around");
}

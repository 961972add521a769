import type { Design, Part } from "../design/design";
import type { Box } from "../geometry/box";
import { boxOfGeometry } from "../scene/boxOfGeometry";
import { groundColor } from "../scene/groundPart";
import { buildScene } from "../scene/sceneBuilder";
import type { PartScene, Scene } from "../scene/scene";

/** A rectangle that can be laid side by side without a seam, and the scene it is cut from. */
export interface Tile {
  readonly scene: Scene;
  readonly frame: Box;
  /** Names of parts that do not repeat in it, and are left out. */
  readonly leftOut: readonly string[];
}

/** How a part repeats: in a rectangle both ways, or along a level band only. Millimetres. */
interface Repeat {
  readonly way: "plane" | "band";
  /** How far apart a band's repeats are in the part's own space. */
  readonly pitch?: number;
  readonly frame: Box;
}

/**
 * The seamless tile of a design: that of its topmost part that repeats in a rectangle or along a level band, with
 * every other part that repeats in the same one. The rules are laid out to beyond the tile's edges, so that nothing is
 * missing there. Null where no part repeats so.
 */
export function tileOfDesign(design: Design): Tile | null {
  const known = remembered.get(design);
  if (known !== undefined) return known;
  const tile = computeTile(design);
  remembered.set(design, tile);
  return tile;
}

/** Whether there is a tile is asked before it is made. */
const remembered = new WeakMap<Design, Tile | null>();

function computeTile(design: Design): Tile | null {
  const laid = buildScene(design);
  const repeats = new Map(laid.parts.flatMap((part) => repeatOf(part, design)));
  const chosen = design.parts.reduce<Repeat | null>((found, { id }) => repeats.get(id) ?? found, null);
  if (!chosen) return null;
  const fits = ({ id }: Part) => {
    const own = repeats.get(id);
    return own !== undefined && own.way === chosen.way && isSame(own.frame, chosen.frame);
  };
  const { left, top, right, bottom } = chosen.frame;
  const beyond: Design = {
    ...design,
    sheet: {
      ...design.sheet,
      width: (right - left) * AROUND,
      height: (bottom - top) * AROUND,
      margin: 0,
      // A ground that changes over the sheet has a seam; its middle colour has none.
      ground: groundColor(laid.sheet),
    },
    parts: design.parts.map((part) =>
      fits(part) ? laidOut(part, repeats.get(part.id)?.pitch) : { ...part, role: "tool" },
    ),
  };
  const leftOut = design.parts.filter((part) => part.visible && part.role === "show" && !fits(part));
  return { scene: buildScene(beyond), frame: chosen.frame, leftOut: leftOut.map(({ name }) => name) };
}

const NEAR = 1e-6;
/** Rules cover so many tiles each way; odd, so that one of a band stands in the middle. */
const AROUND = 5;

function isSame(a: Box, b: Box): boolean {
  const [width, height] = [a.right - a.left, a.bottom - a.top];
  return Math.abs(width - (b.right - b.left)) < NEAR && Math.abs(height - (b.bottom - b.top)) < NEAR;
}

function repeatOf({ id, visible, role, geometry }: PartScene, design: Design): [string, Repeat][] {
  if (!visible || role !== "show") return [];
  const size = [...geometry.tiles().values()].at(-1);
  if (size) {
    const [x, y] = [size.width / 2, size.height / 2];
    return [[id, { way: "plane", frame: { left: -x, top: -y, right: x, bottom: y } }]];
  }
  const rules = design.parts.find((part) => part.id === id)?.rules.filter(({ on }) => on) ?? [];
  const last = rules.at(-1);
  const pitch = [...geometry.links().values()].at(-1)?.find(({ about }) => about === "border")?.spacing;
  // Only a border that runs level can be cut upright.
  if (last?.kind !== "border" || last.path !== undefined || pitch === undefined || geometry.at[1] !== 0) return [];
  const { top, bottom } = boxOfGeometry(geometry);
  const [, , , , middle] = geometry.at;
  const half = (pitch * geometry.at[0]) / 2;
  return [[id, { way: "band", pitch, frame: { left: middle - half, top, right: middle + half, bottom } }]];
}

/** The part with its last rule going on to beyond the tile. */
function laidOut(part: Part, pitch: number | undefined): Part {
  const last = part.rules.findLastIndex(({ kind, on }) => (kind === "grid" || kind === "border") && on);
  return {
    ...part,
    join: { ...part.join, inside: null },
    rules: part.rules.map((rule, index) => {
      if (index !== last) return rule;
      if (rule.kind === "grid") return { ...rule, fill: "sheet" };
      const { length: _length, ...border } = rule;
      return { ...border, on: true, kind: rule.kind, count: AROUND, ...(pitch !== undefined && { pitch }) };
    }),
  };
}

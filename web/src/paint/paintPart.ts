import {
  changesWithin,
  colorAt,
  strokesAsAreas,
  widestOf,
  type Paint,
  type PartScene,
  type Shape,
} from "@twin-petal/core";
import { WHOLE, type Look } from "./look";
import { motifPath, reachOf } from "./motifPath";
import { setLine } from "./lineStyle";
import { paintPieces } from "./paintPieces";
import { placedStyles } from "./placedStyle";
import type { Size, View } from "./view";

type Context = OffscreenCanvasRenderingContext2D;

/** Copies painted between two looks at the clock. */
const BETWEEN_LOOKS = 256;
/** A copy that reaches less than this many pixels from its origin cannot be seen. */
const LEAST_PIXELS = 0.2;

/** Asked now and then while painting; a false answer ends the painting where it is. */
export type GoOn = () => Promise<boolean> | null;

/** Where the picture goes: device pixels a millimetre, and the sheet's origin in device pixels. */
export interface Placing {
  readonly scale: number;
  readonly originX: number;
  readonly originY: number;
  readonly width: number;
  readonly height: number;
}

export function placingOf({ x, y, scale }: View, { width, height }: Size, density: number): Placing {
  return {
    scale: scale * density,
    originX: (width / 2 - x * scale) * density,
    originY: (height / 2 - y * scale) * density,
    width: width * density,
    height: height * density,
  };
}

/** Paints every copy of a part that can be seen. Answers false when it was told not to go on. */
export async function paintPart(
  context: Context,
  part: PartScene,
  to: Placing,
  goOn: GoOn,
  look: Look = WHOLE,
): Promise<boolean> {
  // A build-up, and the source alone, show copies; joins only where all of them are there.
  const partly = look.most(part) < part.geometry.copies.placements.count;
  const { shapes, placements } = partly ? part.geometry.copies : part.geometry;
  const { matrices, shapeOf, opacity } = placements;
  const count = Math.min(placements.count, look.most(part));
  const { fill, line } = part.finish;
  const outlines = strokesAsAreas(shapes, line).map((shape) => outlineOf(shape, line ? widestOf(line) : 0));
  // Pieces change the colour in between.
  const pieced = outlines.some(({ pieces }) => pieces !== null);
  const fills = brush(fill, { shapes, placements }, part, pieced);
  const strokes = brush(line && widestOf(line) > 0 ? line.paint : null, { shapes, placements }, part, pieced);
  setLine(context, line);
  context.globalAlpha = part.finish.opacity;
  for (let copy = 0; copy < count; copy++) {
    if (copy % BETWEEN_LOOKS === 0) {
      const answer = goOn();
      if (answer && !(await answer)) return false;
    }
    const { path, pieces, reach } = outlines[shapeOf?.[copy] ?? 0] ?? NOTHING;
    const at = copy * 6;
    const a = (matrices[at] ?? 0) * to.scale;
    const b = (matrices[at + 1] ?? 0) * to.scale;
    const c = (matrices[at + 2] ?? 0) * to.scale;
    const d = (matrices[at + 3] ?? 0) * to.scale;
    const e = (matrices[at + 4] ?? 0) * to.scale + to.originX;
    const f = (matrices[at + 5] ?? 0) * to.scale + to.originY;
    const extent = (Math.abs(a) + Math.abs(b) + Math.abs(c) + Math.abs(d)) * reach;
    if (e + extent < 0 || f + extent < 0 || e - extent > to.width || f - extent > to.height) continue;
    if (extent < LEAST_PIXELS) continue;
    context.setTransform(a, b, c, d, e, f);
    if (look.lines) {
      strokeThin(context, path, Math.sqrt(Math.abs(a * d - b * c)));
      continue;
    }
    const clear = part.finish.opacity * (opacity?.[copy] ?? 1);
    if (opacity) context.globalAlpha = clear;
    if (pieces) {
      paintPieces(context, pieces, [a, b, c, d, e, f], part, clear, {
        fill: () => fills?.(context, copy, "fillStyle"),
        stroke: () => strokes?.(context, copy, "strokeStyle"),
        fillWithLine: () => strokes?.(context, copy, "fillStyle"),
      });
      continue;
    }
    if (fills) {
      fills(context, copy, "fillStyle");
      context.fill(path);
    }
    if (strokes) {
      strokes(context, copy, "strokeStyle");
      context.stroke(path);
    }
  }
  return true;
}

const THIN = "#2B2140";

/** A bare outline, about a pixel wide whatever its size. */
function strokeThin(context: Context, outline: Path2D, scale: number): void {
  context.globalAlpha = 1;
  context.strokeStyle = THIN;
  context.lineWidth = 1.2 / Math.max(scale, 1e-9);
  context.setLineDash([]);
  context.stroke(outline);
}

/** An outline ready for the canvas, and how far it reaches from its origin, lines included, millimetres. */
interface Outline {
  readonly path: Path2D;
  readonly pieces: Shape["pieces"];
  readonly reach: number;
}

const NOTHING: Outline = { path: new Path2D(), pieces: null, reach: 0 };

function outlineOf({ path, pieces }: Shape, width: number): Outline {
  const widths = (pieces ?? []).map((piece) => piece.line?.width ?? 0);
  return {
    path: motifPath(path),
    pieces,
    reach: reachOf(path) + widths.reduce((most, own) => Math.max(most, own), width),
  };
}

/** Sets the colour of one copy, and only when it differs from the copy before. */
function brush(
  paint: Paint | null,
  painted: Pick<PartScene["geometry"], "shapes" | "placements">,
  part: PartScene,
  always: boolean,
): ((context: Context, copy: number, style: "fillStyle" | "strokeStyle") => void) | null {
  if (!paint) return null;
  const { placements } = painted;
  if (paint.kind === "each") {
    const known = new Map<Paint, ReturnType<typeof brush>>();
    return (context: Context, copy: number, style: "fillStyle" | "strokeStyle") => {
      const own = paint.paints[copy] ?? null;
      if (own && !known.has(own)) known.set(own, brush(own, painted, part, true));
      if (own) known.get(own)?.(context, copy, style);
      else context[style] = "#00000000";
    };
  }
  if (changesWithin(paint)) {
    const styleOf = placedStyles(paint, painted, part);
    return (context: Context, copy: number, style: "fillStyle" | "strokeStyle") => {
      context[style] = styleOf(context, copy);
    };
  }
  const colorOf = colorAt(paint, placements);
  let last = "";
  return (context: Context, copy: number, style: "fillStyle" | "strokeStyle") => {
    const color = colorOf(copy);
    if (color === last && !always) return;
    last = color;
    context[style] = color;
  };
}

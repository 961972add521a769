import type { DensityMap, ResolvedMaking, StitchPlan } from "@twin-petal/core";
import type { StagePlacing } from "../frameStage";

type Context = CanvasRenderingContext2D;
type Color = (name: string) => string;

const CLOTH = "#F4EFE4";
const WEFT = "rgba(120, 105, 80, 0.10)";
/** From thread to thread of the cloth, millimetres. */
const WEAVE = 0.9;
/** The cloth's own threads show when a millimetre is at least so many pixels. */
const CLOSE = 4;

/** The hoop, and cloth in it. */
export function drawHoop(
  context: Context,
  { width, height, shape }: ResolvedMaking["stitch"]["frame"],
  to: StagePlacing["to"],
  pixel: number,
  color: Color,
): void {
  context.setTransform(to.scale, 0, 0, to.scale, to.x, to.y);
  const edge = new Path2D();
  if (shape === "oval") edge.ellipse(0, 0, width / 2, height / 2, 0, 0, 2 * Math.PI);
  else edge.roundRect(-width / 2, -height / 2, width, height, Math.min(8, width / 8, height / 8));
  context.fillStyle = CLOTH;
  context.fill(edge);
  if (to.scale > CLOSE) {
    context.save();
    context.clip(edge);
    context.strokeStyle = WEFT;
    context.lineWidth = WEAVE / 2;
    context.stroke(threadsOfCloth(width, height));
    context.restore();
  }
  context.strokeStyle = color("--quiet");
  context.lineWidth = 2 * pixel;
  context.stroke(edge);
}

function threadsOfCloth(width: number, height: number): Path2D {
  const lines = new Path2D();
  for (let x = -width / 2; x < width / 2; x += WEAVE) {
    lines.moveTo(x, -height / 2);
    lines.lineTo(x, height / 2);
  }
  for (let y = -height / 2; y < height / 2; y += WEAVE) {
    lines.moveTo(-width / 2, y);
    lines.lineTo(width / 2, y);
  }
  return lines;
}

/** Where the needle moves without sewing, up to a stitch. */
export function drawJumps(
  context: Context,
  { x, y, how }: StitchPlan,
  upTo: number,
  pixel: number,
  color: string,
): void {
  const jumps = new Path2D();
  for (let k = 1; k < upTo; k++) {
    const code = how[k] ?? 0;
    if (code === 0 || code > 3) continue;
    jumps.moveTo(x[k - 1] ?? 0, y[k - 1] ?? 0);
    jumps.lineTo(x[k] ?? 0, y[k] ?? 0);
  }
  context.strokeStyle = color;
  context.lineWidth = 1.5 * pixel;
  context.setLineDash([5 * pixel, 4 * pixel]);
  context.stroke(jumps);
  context.setLineDash([]);
}

/** How close needle points stand: the closer, the stronger; what is too close has a ring of its own colour. */
export function drawDensity(context: Context, map: DensityMap, densest: number, color: string): void {
  const { left, top, side, columns, densities } = map;
  densities.forEach((density, at) => {
    if (density <= 0) return;
    const [x, y] = [left + (at % columns) * side, top + Math.floor(at / columns) * side];
    context.globalAlpha = Math.min(0.85, (0.6 * density) / densest);
    context.fillStyle = density > densest ? color : "#2B2140";
    context.fillRect(x, y, side, side);
  });
  context.globalAlpha = 1;
}

/** A needle whose point is where it goes in. */
export function drawNeedle(context: Context, { x, y }: StitchPlan, at: number, pixel: number, color: string): void {
  const [px, py] = [x[at] ?? 0, y[at] ?? 0];
  context.fillStyle = color;
  context.beginPath();
  context.moveTo(px, py);
  context.lineTo(px + 3 * pixel, py - 9 * pixel);
  context.lineTo(px + 3 * pixel, py - 34 * pixel);
  context.lineTo(px - 3 * pixel, py - 34 * pixel);
  context.lineTo(px - 3 * pixel, py - 9 * pixel);
  context.fill();
}

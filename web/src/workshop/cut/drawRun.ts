import { pathData, WAY_COLORS, type Point } from "@twin-petal/core";
import type { HeadWay, ShownCut } from "@/workers/cutWork";
import { markPlaces, type StagePlacing } from "../frameStage";

interface Run extends StagePlacing {
  readonly shown: ShownCut | null;
  readonly frame: { readonly width: number; readonly height: number };
  /** The move that is shown; null for all. */
  readonly at: number | null;
  readonly places: readonly Point[];
}

const STRONG = 1.5;
const FAINT = 1;

/** Draws the frame and what the head has done up to a move: travel faint, cuts strong, pieces that came free lifted off. */
export function drawRun(context: CanvasRenderingContext2D, run: Run): void {
  const { shown, frame, at, places, to, density, colors } = run;
  const color = (name: string) => colors.getPropertyValue(name).trim();
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.clearRect(0, 0, context.canvas.width, context.canvas.height);
  context.setTransform(to.scale, 0, 0, to.scale, to.x, to.y);
  const pixel = density / to.scale;
  context.fillStyle = color("--surface");
  context.strokeStyle = color("--hairline");
  context.lineWidth = pixel;
  context.fillRect(-frame.width / 2, -frame.height / 2, frame.width, frame.height);
  context.strokeRect(-frame.width / 2, -frame.height / 2, frame.width, frame.height);
  if (shown) {
    const last = at === null ? shown.way.down.length - 1 : at;
    if (at !== null) freePieces(context, shown.way, last, color("--page"));
    context.lineWidth = FAINT * pixel;
    context.strokeStyle = color("--quiet");
    context.setLineDash([4 * pixel, 4 * pixel]);
    context.globalAlpha = 0.55;
    context.stroke(wayUpTo(shown.way, last, 0));
    context.globalAlpha = 1;
    context.setLineDash([]);
    context.lineWidth = STRONG * pixel;
    if (at === null) wholeLines(context, shown);
    else {
      context.strokeStyle = WAY_COLORS.cut;
      context.stroke(wayUpTo(shown.way, last, 1));
      drawHead(context, headAt(shown.way, last), pixel, color("--words"));
    }
  }
  markPlaces(context, places, pixel, color("--failed"));
}

/** Everything in the colour of its way. */
function wholeLines(context: CanvasRenderingContext2D, { lines }: ShownCut): void {
  for (const { as, runs } of lines) {
    context.strokeStyle = WAY_COLORS[as];
    context.stroke(new Path2D(pathData(runs)));
  }
}

/** The head's way up to a move, with the head down or up. */
function wayUpTo({ points, begins, down }: HeadWay, last: number, isDown: 0 | 1): Path2D {
  const path = new Path2D();
  for (let move = 0; move <= last; move++) {
    if (down[move] !== isDown) continue;
    const [first, end] = [begins[move] ?? 0, begins[move + 1] ?? 0];
    path.moveTo(points[2 * first] ?? 0, points[2 * first + 1] ?? 0);
    for (let k = first + 1; k < end; k++) path.lineTo(points[2 * k] ?? 0, points[2 * k + 1] ?? 0);
  }
  return path;
}

/** Pieces that have come free, as gaps in the sheet. */
function freePieces(context: CanvasRenderingContext2D, way: HeadWay, last: number, color: string): void {
  context.fillStyle = color;
  for (let move = 0; move <= last; move++) {
    const begun = way.frees[move] ?? -1;
    if (begun < 0) continue;
    const [first, end] = [way.begins[begun] ?? 0, way.begins[move + 1] ?? 0];
    const path = new Path2D();
    for (let k = first; k < end; k++) path.lineTo(way.points[2 * k] ?? 0, way.points[2 * k + 1] ?? 0);
    context.fill(path);
  }
}

/** Where the head is after a move. */
export function headAt({ points, begins }: HeadWay, move: number): Point {
  const end = (begins[move + 1] ?? 1) - 1;
  return { x: points[2 * end] ?? 0, y: points[2 * end + 1] ?? 0 };
}

function drawHead(context: CanvasRenderingContext2D, { x, y }: Point, pixel: number, color: string): void {
  context.fillStyle = color;
  context.beginPath();
  // A drop whose tip is where the head works.
  context.moveTo(x, y);
  context.bezierCurveTo(x + 8 * pixel, y - 8 * pixel, x + 7 * pixel, y - 18 * pixel, x, y - 18 * pixel);
  context.bezierCurveTo(x - 7 * pixel, y - 18 * pixel, x - 8 * pixel, y - 8 * pixel, x, y);
  context.fill();
}

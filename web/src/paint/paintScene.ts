import type { PartScene, Scene } from "@twin-petal/core";
import { WHOLE, type Look } from "./look";
import { paintPart, type GoOn, type Placing } from "./paintPart";

type Context = OffscreenCanvasRenderingContext2D;

/** The colours of the desk itself, which follow the system's light or dark. */
export interface DeskColors {
  readonly page: string;
  readonly hairline: string;
}

/** Paints the sheet and every visible part. Answers false when it was told not to go on. */
export async function paintScene(
  context: Context,
  scene: Scene,
  to: Placing,
  colors: DeskColors,
  goOn: GoOn,
  look: Look = WHOLE,
): Promise<boolean> {
  context.resetTransform();
  context.globalAlpha = 1;
  context.fillStyle = colors.page;
  context.fillRect(0, 0, to.width, to.height);
  paintSheet(context, scene, to);
  for (const part of scene.parts) {
    if (part.visible && part.role === "show" && !(await paintBlended(context, part, to, goOn, look))) return false;
  }
  context.resetTransform();
  veilSurroundings(context, scene, to, colors);
  return true;
}

/** A part that blends is painted on a layer of its own first: its copies blend as one with what is below. */
async function paintBlended(context: Context, part: PartScene, to: Placing, goOn: GoOn, look: Look): Promise<boolean> {
  if (part.blend === "normal" || look.lines) return paintPart(context, part, to, goOn, look);
  const layer = new OffscreenCanvas(to.width, to.height);
  const layerContext = layer.getContext("2d");
  if (!layerContext) throw new Error("the browser gives no layer to paint on");
  if (!(await paintPart(layerContext, part, to, goOn, look))) return false;
  context.resetTransform();
  context.globalAlpha = 1;
  context.globalCompositeOperation = part.blend;
  context.drawImage(layer, 0, 0);
  context.globalCompositeOperation = "source-over";
  return true;
}

function sheetRectangle({ sheet }: Scene, to: Placing): [x: number, y: number, width: number, height: number] {
  const width = sheet.width * to.scale;
  const height = sheet.height * to.scale;
  return [to.originX - width / 2, to.originY - height / 2, width, height];
}

function paintSheet(context: Context, scene: Scene, to: Placing): void {
  const [x, y, width, height] = sheetRectangle(scene, to);
  context.fillStyle = "#FFFFFF";
  context.fillRect(x, y, width, height);
  if (scene.sheet.ground === null) return;
  context.fillStyle = scene.sheet.ground;
  context.fillRect(x, y, width, height);
}

/** What lies outside the sheet stays in sight but steps back; it will not be made. */
function veilSurroundings(context: Context, scene: Scene, to: Placing, { page, hairline }: DeskColors): void {
  const [x, y, width, height] = sheetRectangle(scene, to);
  const around = new Path2D();
  around.rect(0, 0, to.width, to.height);
  around.rect(x, y, width, height);
  context.globalAlpha = 0.72;
  context.fillStyle = page;
  context.fill(around, "evenodd");
  context.globalAlpha = 1;
  context.strokeStyle = hairline;
  context.lineWidth = 1;
  context.setLineDash([]);
  context.strokeRect(Math.round(x) - 0.5, Math.round(y) - 0.5, Math.round(width) + 1, Math.round(height) + 1);
}

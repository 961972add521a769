import { hasEffects, type PartScene, type Scene } from "@twin-petal/core";
import { WHOLE, type Look } from "./look";
import { layerWithEffects } from "./paintEffects";
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
  paintPaper(context, scene, to);
  if (scene.ground && !(await paintPart(context, scene.ground, to, goOn))) return false;
  context.resetTransform();
  for (const part of scene.parts) {
    if (part.visible && part.role === "show" && !(await paintBlended(context, part, to, goOn, look))) return false;
  }
  context.resetTransform();
  veilSurroundings(context, scene, to, colors);
  return true;
}

/** A part that blends, or casts a shadow, is painted on a layer of its own first: its copies do so as one. */
async function paintBlended(context: Context, part: PartScene, to: Placing, goOn: GoOn, look: Look): Promise<boolean> {
  const paint = (on: Context, placing: Placing) => paintPart(on, part, placing, goOn, look);
  if (look.lines) return paint(context, to);
  if (hasEffects(part.finish.effects)) {
    const layered = await layerWithEffects(part, to, look.most(part), paint);
    if (layered) layDown(context, layered.layer, -layered.margin, part.blend);
    return layered !== null;
  }
  if (part.blend === "normal") return paint(context, to);
  const layer = new OffscreenCanvas(to.width, to.height);
  const layerContext = layer.getContext("2d");
  if (!layerContext) throw new Error("the browser gives no layer to paint on");
  if (!(await paint(layerContext, to))) return false;
  layDown(context, layer, 0, part.blend);
  return true;
}

function layDown(context: Context, layer: OffscreenCanvas, offset: number, blend: PartScene["blend"]): void {
  context.resetTransform();
  context.globalAlpha = 1;
  context.globalCompositeOperation = blend === "normal" ? "source-over" : blend;
  context.drawImage(layer, offset, offset);
  context.globalCompositeOperation = "source-over";
}

function sheetRectangle({ sheet }: Scene, to: Placing): [x: number, y: number, width: number, height: number] {
  const width = sheet.width * to.scale;
  const height = sheet.height * to.scale;
  return [to.originX - width / 2, to.originY - height / 2, width, height];
}

function paintPaper(context: Context, scene: Scene, to: Placing): void {
  const [x, y, width, height] = sheetRectangle(scene, to);
  context.fillStyle = "#FFFFFF";
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

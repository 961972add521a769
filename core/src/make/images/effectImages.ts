import { MOST_ACROSS } from "../../finish/dpiWithin";
import { rasterise } from "../../engines/rasteriser";
import { hasEffects, reachOfEffects, type Effects } from "../../finish/effects/effects";
import { effectLayers } from "../../finish/effects/layers";
import { reachOfLine } from "../../geometry/strip/lineShape";
import { growBox, isEmpty, type Box } from "../../geometry/box";
import type { Point } from "../../geometry/point";
import { boxOfGeometry } from "../../scene/boxOfGeometry";
import type { PartScene, Scene } from "../../scene/scene";
import { svgOfPart } from "../svg/partSvg";
import type { PlacedRaster } from "../../finish/pools";

/** What lies under a part's vectors and over them, as images; null where there is nothing. */
interface EffectImages {
  readonly under: PlacedRaster | null;
  readonly over: PlacedRaster | null;
}

/** For parts nothing lies under or over. */
const NO_IMAGES: EffectImages = { under: null, over: null };

const MILLIMETRES_PER_INCH = 25.4;

/** The pixels images are laid on: so many dots an inch, counted from a point of the sheet, millimetres. */
export interface PixelGrid {
  /** Dots an inch. */
  readonly dpi: number;
  /** The sheet's place of the first pixel's corner, millimetres. */
  readonly from: Point;
}

/** A part's effects, or some of them, as images. The rasteriser must have been loaded if there are any. */
export function effectImages(
  part: PartScene,
  { sheet }: Pick<Scene, "sheet">,
  grid: PixelGrid,
  effects: Effects = part.finish.effects,
): EffectImages {
  if (!hasEffects(effects)) return NO_IMAGES;
  const needed = effectsBox(part, sheet);
  if (isEmpty(needed)) return NO_IMAGES;
  const longest = Math.max(needed.right - needed.left, needed.bottom - needed.top);
  const scale = Math.min(grid.dpi / MILLIMETRES_PER_INCH, MOST_ACROSS / longest);
  const box = { ...needed, left: onGrid(needed.left, grid.from.x, scale), top: onGrid(needed.top, grid.from.y, scale) };
  const [width, height] = [Math.ceil((box.right - box.left) * scale), Math.ceil((box.bottom - box.top) * scale)];
  if (width < 1 || height < 1) return NO_IMAGES;
  const covered: Box = { ...box, right: box.left + width / scale, bottom: box.top + height / scale };
  const alpha = alphaOf(svgOfPart(part, covered), width, height);
  const { under, over } = effectLayers(effects, { width, height, alpha, left: box.left, top: box.top, scale });
  return { under: under && { raster: under, box: covered }, over: over && { raster: over, box: covered } };
}

/** The pixels' edge at or before a place. */
function onGrid(place: number, from: number, scale: number): number {
  return from + Math.floor((place - from) * scale) / scale;
}

/** The part's box with what its effects reach, as far as that is on the sheet or near it. Millimetres. */
export function effectsBox(part: PartScene, { width, height }: Scene["sheet"]): Box {
  const { line, effects } = part.finish;
  const reach = reachOfEffects(effects);
  const grown = growBox(boxOfGeometry(part.geometry), reach + (line ? reachOfLine(line) : 0) + 0.5);
  return {
    left: Math.max(grown.left, -width / 2 - reach),
    top: Math.max(grown.top, -height / 2 - reach),
    right: Math.min(grown.right, width / 2 + reach),
    bottom: Math.min(grown.bottom, height / 2 + reach),
  };
}

function alphaOf(svg: string, width: number, height: number): Uint8ClampedArray {
  return rasterise(svg, width, ({ pixels }) => {
    const alpha = new Uint8ClampedArray(width * height);
    for (let pixel = 0; pixel < alpha.length; pixel++) alpha[pixel] = pixels[pixel * 4 + 3] ?? 0;
    return alpha;
  });
}

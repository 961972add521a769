import { encode } from "fast-png";
import type { PlacedRaster } from "../../finish/pools";
import { decimals } from "../../geometry/decimals";
import { attribute } from "../xml";
import { base64 } from "./base64";

/** Noise hardly shrinks, however long it is tried. */
const QUICK = 1;

/** An SVG image with its pixels inside; one whose pixels are the picture's own need not be smoothed, which is slow. */
export function imageElement({ raster, box }: PlacedRaster, smooth = true): string {
  const { left, top, right, bottom } = box;
  const { width, height, data } = raster;
  const png = encode({ width, height, data, channels: 4, depth: 8 }, { zlib: { level: QUICK } });
  const place = [
    ["x", left],
    ["y", top],
    ["width", right - left],
    ["height", bottom - top],
  ] as const;
  const where = place.map(([name, value]) => attribute(name, decimals(value, 5))).join("");
  const sampling = smooth ? "" : attribute("image-rendering", "optimizeSpeed");
  return `<image${where}${sampling} preserveAspectRatio="none" xlink:href="data:image/png;base64,${base64(png)}"/>`;
}

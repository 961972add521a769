import { encode } from "fast-png";
import type { PlacedRaster } from "../../finish/pools";
import { decimals } from "../decimals";
import { attribute } from "../xml";
import { base64 } from "./base64";

/** Noise hardly shrinks, however long it is tried. */
const QUICK = 1;

/** An SVG image with its pixels inside. */
export function imageElement({ raster, box }: PlacedRaster): string {
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
  return `<image${where} preserveAspectRatio="none" xlink:href="data:image/png;base64,${base64(png)}"/>`;
}

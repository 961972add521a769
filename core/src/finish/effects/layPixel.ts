import type { Raster } from "../pools";

/** Lays a colour (channels 0…255, alpha 0…1) over one pixel of a layer. */
export function layPixel({ data }: Raster, pixel: number, r: number, g: number, b: number, alpha: number): void {
  if (alpha <= 0) return;
  const at = pixel * 4;
  const below = (data[at + 3] ?? 0) / 255;
  const whole = alpha + below * (1 - alpha);
  const mixed = (over: number, under: number) => (over * alpha + under * below * (1 - alpha)) / whole;
  data[at] = mixed(r, data[at] ?? 0);
  data[at + 1] = mixed(g, data[at + 1] ?? 0);
  data[at + 2] = mixed(b, data[at + 2] ?? 0);
  data[at + 3] = whole * 255;
}

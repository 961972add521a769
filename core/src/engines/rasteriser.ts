import { initWasm, Resvg } from "@resvg/resvg-wasm";
import { EngineEnded, saysItEnded } from "./engineEnded";
import { LoadOnce } from "./loadOnce";

const engine = new LoadOnce<typeof Resvg>();

/** Where a host has the rasteriser's WebAssembly. */
export type RasteriserSource = () => Promise<Awaited<Parameters<typeof initWasm>[0]>>;

/** Makes the rasteriser ready; the host says where its WebAssembly is. Safe to call again. */
export function loadRasteriser(wasm: RasteriserSource): Promise<void> {
  return engine.load(async () => {
    await initWasm(await wasm());
    return Resvg;
  });
}

/** A picture in pixels: RGBA bytes, rows from the top, and the same as a PNG when asked for. */
interface Rendered {
  readonly pixels: Uint8Array;
  png: () => Uint8Array<ArrayBuffer>;
}

/** Draws an SVG, `width` pixels across, and hands it to whoever reads it. Throws when the host has not loaded the rasteriser. */
export function rasterise<T>(svg: string, width: number, read: (rendered: Rendered) => T): T {
  const Rasteriser = engine.get("pictures are made only after loadRasteriser");
  const [picture, rendered] = drawn(Rasteriser, svg, width);
  try {
    return read({ pixels: rendered.pixels, png: () => new Uint8Array(rendered.asPng()) });
  } finally {
    rendered.free();
    picture.free();
  }
}

/** It cannot be loaded anew; what it trips over is lost, and it goes on. */
function drawn(Rasteriser: typeof Resvg, svg: string, width: number) {
  try {
    const picture = new Rasteriser(svg, { fitTo: { mode: "width", value: width } });
    return [picture, picture.render()] as const;
  } catch (error) {
    throw saysItEnded(error) ? new EngineEnded("what makes pictures cannot draw this") : error;
  }
}

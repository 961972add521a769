import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import { FONTS, loadFont, loadGeometryEngine, loadRasteriser, loadSolidEngine, type MakeHost } from "../src";

const find = (file: string) => readFile(createRequire(import.meta.url).resolve(file));

/** Loads the geometry engine, as a host does. */
export function withGeometryEngine(): Promise<void> {
  return loadGeometryEngine(() => find("clipper2-wasm/dist/umd/clipper2z.wasm"));
}

/** Loads the solid engine. */
export function withSolidEngine(): Promise<void> {
  return loadSolidEngine(TEST_HOST.solidEngine);
}

/** Loads every shipped font. */
export async function withFonts(): Promise<void> {
  await Promise.all(FONTS.map((font) => loadFont(font.id, () => find(font.file))));
}

/** Loads the rasteriser. */
export function withRasteriser(): Promise<void> {
  return loadRasteriser(TEST_HOST.rasteriser);
}

/** Where tests find what the core needs: in the installed packages. */
export const TEST_HOST: MakeHost = {
  geometryEngine: () => find("clipper2-wasm/dist/umd/clipper2z.wasm"),
  solidEngine: () => find("manifold-3d/manifold.wasm"),
  font: ({ file }) => find(file),
  rasteriser: () => find("@resvg/resvg-wasm/index_bg.wasm"),
};

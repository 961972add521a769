import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import { FONTS, loadFont, loadGeometryEngine } from "../src";

const find = (file: string) => readFile(createRequire(import.meta.url).resolve(file));

/** Loads the geometry engine, as a host does. */
export function withGeometryEngine(): Promise<void> {
  return loadGeometryEngine(() => find("clipper2-wasm/dist/umd/clipper2z.wasm"));
}

/** Loads every shipped font. */
export async function withFonts(): Promise<void> {
  await Promise.all(FONTS.map((font) => loadFont(font.id, () => find(font.file))));
}

import { readFile } from "node:fs/promises";
import { createRequire } from "node:module";
import type { MakeHost } from "@twin-petal/core";

const installed = (file: string) => readFile(createRequire(import.meta.url).resolve(file));

/** Where Node finds what the core needs: in the installed packages. */
export const NODE_HOST: MakeHost = {
  geometryEngine: () => installed("clipper2-wasm/dist/umd/clipper2z.wasm"),
  solidEngine: () => installed("manifold-3d/manifold.wasm"),
  font: ({ file }) => installed(file),
  rasteriser: () => installed("@resvg/resvg-wasm/index_bg.wasm"),
};

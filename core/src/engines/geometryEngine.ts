// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the other workspaces compile this file and find the types only so
/// <reference path="./clipper2-wasm.d.ts" />
import factory, { type MainModule } from "clipper2-wasm";

let engine: MainModule | null = null;
let loading: Promise<void> | null = null;

/** Makes the clipping of outlines ready; the host says where its WebAssembly is. Safe to call again. */
export function loadGeometryEngine(wasm: () => Promise<Uint8Array | ArrayBuffer>): Promise<void> {
  loading ??= (async () => {
    const create = typeof factory === "function" ? factory : factory.default;
    engine = await create({ wasmBinary: await wasm() });
  })();
  return loading;
}

/** The clipping of outlines. Throws when the host has not loaded it. */
export function geometryEngine(): MainModule {
  if (!engine) throw new Error("outlines are combined only after loadGeometryEngine");
  return engine;
}

// oxlint-disable-next-line typescript/triple-slash-reference -- the other workspaces compile this file and find the types only so
/// <reference path="./clipper2-wasm.d.ts" />
import factory, { type MainModule } from "clipper2-wasm";
import { LoadOnce } from "./loadOnce";

const engine = new LoadOnce<MainModule>();

/** Makes the clipping of outlines ready; the host says where its WebAssembly is. Safe to call again. */
export function loadGeometryEngine(wasm: () => Promise<Uint8Array | ArrayBuffer>): Promise<void> {
  return engine.load(async () => {
    const create = typeof factory === "function" ? factory : factory.default;
    return create({ wasmBinary: await wasm() });
  });
}

/**
 * Does work with the clipping of outlines. Throws when the host has not loaded it, and an EngineEnded when the work ends it: it is
 * to be loaded anew then.
 */
export function usingGeometryEngine<R>(work: (engine: MainModule) => R): R {
  return engine.guard(() => work(engine.get("outlines are combined only after loadGeometryEngine")));
}

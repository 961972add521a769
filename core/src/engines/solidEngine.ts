import type { ManifoldToplevel } from "manifold-3d";
import { LoadOnce } from "./loadOnce";

const engine = new LoadOnce<ManifoldToplevel>();

/** Makes the combining of solids ready; the host says where its WebAssembly is. Safe to call again. */
export function loadSolidEngine(wasm: () => Promise<Uint8Array | ArrayBuffer>): Promise<void> {
  return engine.load(async () => {
    // Only designs with solids load it.
    const [{ default: create }, wasmBinary] = await Promise.all([import("manifold-3d"), wasm()]);
    // The package hands further settings on to its runtime, which takes the binary from here.
    const settings = { locateFile: () => "manifold.wasm", wasmBinary };
    const made = await create(settings);
    made.setup();
    return made;
  });
}

/** The combining of solids. Throws when the host has not loaded it. */
export function solidEngine(): ManifoldToplevel {
  return engine.get("solids are made only after loadSolidEngine");
}

/** Does work with the combining of solids; where that ends it an EngineEnded is thrown, and it is to be loaded anew. */
export const guardingSolids = <R>(work: () => R): R => engine.guard(work);

/** The same of work that takes its time. */
export const guardingLongSolids = <R>(work: () => Promise<R>): Promise<R> => engine.guardLong(work);

import { wrap, type Remote } from "comlink";
import type { Assistant } from "./assistant";
import type { Maker } from "./maker.worker";
import type { Painter } from "./painter";

/** Starts the worker that computes and paints. Whoever starts it ends it. */
export function startPainter(): { painter: Remote<Painter>; end: () => void } {
  const worker = new Worker(new URL("./painter.worker.ts", import.meta.url), { type: "module" });
  return { painter: wrap<Painter>(worker), end: () => worker.terminate() };
}

/** Starts the worker that does what can wait. Whoever starts it ends it. */
export function startAssistant(): { assistant: Remote<Assistant>; end: () => void } {
  const worker = new Worker(new URL("./assistant.worker.ts", import.meta.url), { type: "module" });
  return { assistant: wrap<Assistant>(worker), end: () => worker.terminate() };
}

/** Starts a worker that makes files. Whoever starts it ends it, in the middle of its work if need be. */
export function startMaker(): { maker: Remote<Maker>; end: () => void } {
  const worker = new Worker(new URL("./maker.worker.ts", import.meta.url), { type: "module" });
  return { maker: wrap<Maker>(worker), end: () => worker.terminate() };
}

import { wrap, type Remote } from "comlink";
import type { Assistant } from "./assistant";
import type { CutWork } from "./cutWork";
import type { Maker } from "./maker.worker";
import type { Painter } from "./painter";
import type { PrintWork } from "./printWork";
import type { SolidPainter } from "./solidPainter";
import type { SolidWork } from "./solidWork";
import type { StitchWork } from "./stitchWork";

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

/** Starts a worker that computes solids. Whoever starts it ends it, in the middle of its work if need be. */
export function startSolidWork(): { work: Remote<SolidWork>; end: () => void } {
  const worker = new Worker(new URL("./solid.worker.ts", import.meta.url), { type: "module" });
  return { work: wrap<SolidWork>(worker), end: () => worker.terminate() };
}

/** Starts a worker that draws solids. Whoever starts it ends it. */
export function startSolidPainter(): { painter: Remote<SolidPainter>; end: () => void } {
  const worker = new Worker(new URL("./solidPainter.worker.ts", import.meta.url), { type: "module" });
  return { painter: wrap<SolidPainter>(worker), end: () => worker.terminate() };
}

/** Starts a worker that computes cuts. Whoever starts it ends it, in the middle of its work if need be. */
export function startCutWork(): { work: Remote<CutWork>; end: () => void } {
  const worker = new Worker(new URL("./cut.worker.ts", import.meta.url), { type: "module" });
  return { work: wrap<CutWork>(worker), end: () => worker.terminate() };
}

/** Starts a worker that lays designs on pages. Whoever starts it ends it. */
export function startPrintWork(): { work: Remote<PrintWork>; end: () => void } {
  const worker = new Worker(new URL("./print.worker.ts", import.meta.url), { type: "module" });
  return { work: wrap<PrintWork>(worker), end: () => worker.terminate() };
}

/** Starts a worker that computes stitches. Whoever starts it ends it, in the middle of its work if need be. */
export function startStitchWork(): { work: Remote<StitchWork>; end: () => void } {
  const worker = new Worker(new URL("./stitch.worker.ts", import.meta.url), { type: "module" });
  return { work: wrap<StitchWork>(worker), end: () => worker.terminate() };
}

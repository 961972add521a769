import type { Assistant } from "./assistant";
import type { CutWork } from "./cutWork";
import type { Maker } from "./maker.worker";
import type { Painter } from "./painter";
import type { PrintWork } from "./printWork";
import type { SolidPainter } from "./solidPainter";
import type { SolidWork } from "./solidWork";
import { started, steady, type Noticed, type Started } from "./started";
import type { StitchWork } from "./stitchWork";

/** Starts the worker that computes and paints. */
export function startPainter(): Noticed<Painter> {
  return started(new Worker(new URL("./painter.worker.ts", import.meta.url), { type: "module" }));
}

/** Starts the worker that does what can wait. */
export function startAssistant(): Started<Assistant> {
  return steady(() => new Worker(new URL("./assistant.worker.ts", import.meta.url), { type: "module" }));
}

/** Starts a worker that makes files. */
export function startMaker(): Started<Maker> {
  return started(new Worker(new URL("./maker.worker.ts", import.meta.url), { type: "module" }));
}

/** Starts a worker that computes solids. */
export function startSolidWork(): Started<SolidWork> {
  return steady(() => new Worker(new URL("./solid.worker.ts", import.meta.url), { type: "module" }));
}

/** Starts a worker that draws solids. */
export function startSolidPainter(): Noticed<SolidPainter> {
  return started(new Worker(new URL("./solidPainter.worker.ts", import.meta.url), { type: "module" }));
}

/** Starts a worker that computes cuts. */
export function startCutWork(): Started<CutWork> {
  return steady(() => new Worker(new URL("./cut.worker.ts", import.meta.url), { type: "module" }));
}

/** Starts a worker that lays designs on pages. */
export function startPrintWork(): Started<PrintWork> {
  return steady(() => new Worker(new URL("./print.worker.ts", import.meta.url), { type: "module" }));
}

/** Starts a worker that computes stitches. */
export function startStitchWork(): Started<StitchWork> {
  return steady(() => new Worker(new URL("./stitch.worker.ts", import.meta.url), { type: "module" }));
}

import type { Remote } from "comlink";
import type { Design } from "@twin-petal/core";
import type { Assistant } from "@/workers/assistant";
import type { SheetPicture } from "@/workers/frame";
import type { Size } from "@/paint/view";
import type { Currency } from "../stage/currency";

/** The picture under the hand rests this long before others are painted, milliseconds. */
const REST = 90;

/** What a small picture shows: all there is on the sheet, or the place another design's ornament has there. */
export type Around = "own" | Design;

interface Job {
  readonly design: Design;
  readonly around: Around;
  readonly size: Size;
  readonly signal: AbortSignal;
  done: (picture: SheetPicture | null) => void;
}

/**
 * Small pictures of what the design could be, painted one after another by the assistant. They stand back
 * whenever the picture under the hand is at work: the one being painted is dropped and begun again later.
 */
export class PictureQueue {
  private readonly waiting: Job[] = [];
  private running = false;

  constructor(
    private readonly assistant: Remote<Assistant>,
    private readonly currency: Currency,
  ) {
    currency.watch((current) => {
      if (!current && this.running) void assistant.standBack();
    });
  }

  /** Asks for a picture; `first` goes before all that wait. Null when it is no longer wanted. */
  ask(design: Design, around: Around, size: Size, signal: AbortSignal, first = false): Promise<SheetPicture | null> {
    return new Promise((done) => {
      const job = { design, around, size, signal, done };
      if (first) this.waiting.unshift(job);
      else this.waiting.push(job);
      if (!this.running) void this.run();
    });
  }

  private async run(): Promise<void> {
    this.running = true;
    for (let job = this.waiting.shift(); job; job = this.waiting.shift()) {
      await this.rest();
      if (job.signal.aborted) {
        job.done(null);
        continue;
      }
      const picture = await this.assistant.sheetPicture(job.design, job.around, job.size);
      if (picture) job.done(picture);
      else this.waiting.unshift(job);
    }
    this.running = false;
  }

  private async rest(): Promise<void> {
    for (let rested = this.currency.restedFor(); rested < REST; rested = this.currency.restedFor()) {
      await new Promise((resolve) => setTimeout(resolve, Math.max(8, REST - rested)));
    }
  }
}

import type { Design } from "@twin-petal/core";
import type { SheetPicture } from "@/workers/frame";
import type { Size } from "@/paint/view";
import type { Currency } from "../stage/currency";

/** The picture under the hand rests this long before others are painted, milliseconds. */
const REST = 90;

/** What a small picture shows: all there is on the sheet, or the place another design's ornament has there. */
export type Around = "own" | Design;

/** Paints small pictures, one at a time; null when it was told to stand back. */
interface SmallPainter {
  sheetPicture: (design: Design, around: Around, size: Size) => Promise<SheetPicture | null>;
  standBack: () => Promise<unknown>;
}

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
    private readonly assistant: SmallPainter,
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
      await this.rest(job.signal);
      if (job.signal.aborted) {
        job.done(null);
        continue;
      }
      const picture = await this.painted(job);
      if (picture) job.done(picture);
      else this.waiting.unshift(job);
    }
    this.running = false;
  }

  /** Null when the assistant had to stand back. One picture that fails must not end the queue. */
  private async painted({ design, around, size }: Job): Promise<SheetPicture | null> {
    try {
      return await this.assistant.sheetPicture(design, around, size);
    } catch (error) {
      return { bitmap: null, trouble: error instanceof Error ? error.message : String(error) };
    }
  }

  /** Until the picture under the hand has rested, or this one is no longer wanted. */
  private async rest(signal: AbortSignal): Promise<void> {
    for (let rest = this.left(); rest > 0 && !signal.aborted; rest = this.left()) {
      await new Promise((resolve) => setTimeout(resolve, Math.max(8, rest)));
    }
  }

  private left(): number {
    return REST - this.currency.restedFor();
  }
}

import { unwaited } from "@/api/unwaited";
import type { Design } from "@twin-petal/core";
import type { SheetPicture } from "@/workers/frame";
import type { Size } from "@/paint/view";
import type { Freshness } from "../stage/freshness";

/** The picture under the hand rests this long before others are painted, milliseconds. */
const REST = 90;

/** What a small picture shows: what the ornament covers, the whole sheet, or the place another design's ornament has there. */
export type Around = "own" | "sheet" | Design;

/** What a small picture is of. */
export interface PictureWish {
  readonly design: Design;
  readonly around: Around;
  /** The part the choice is about: shown by itself where it is much smaller than the whole; null for none. */
  readonly about: string | null;
  /** Pixels. */
  readonly size: Size;
  /** Whether the solid is shown rather than the sheet. */
  readonly isSolid: boolean;
  /** Whether the sheet is shown as it is sewn. */
  readonly isThread: boolean;
}

/** Paints small pictures, one at a time; null when it was told to stand back. */
interface SmallPainter {
  picture: (wish: PictureWish) => Promise<SheetPicture | null>;
  standBack: () => Promise<unknown>;
}

interface Job {
  readonly wish: PictureWish;
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
    private readonly currency: Freshness,
  ) {
    currency.watch((current) => {
      if (!current && this.running) unwaited(assistant.standBack());
    });
  }

  /** Asks for a picture; `first` goes before all that wait. Null when it is no longer wanted. */
  ask(wish: PictureWish, signal: AbortSignal, first = false): Promise<SheetPicture | null> {
    return new Promise((done) => {
      const job = { wish, signal, done };
      if (first) this.waiting.unshift(job);
      else this.waiting.push(job);
      if (!this.running) unwaited(this.run());
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
  private async painted({ wish }: Job): Promise<SheetPicture | null> {
    try {
      return await this.assistant.picture(wish);
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

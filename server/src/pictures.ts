import type { DesignStore } from "./db/designStore";
import type { Pools } from "./pools";
import { HttpProblem } from "./problem";

/** Pixels of a picture on its longer side. */
const PIXELS = 480;
/** Revisions without a picture that are remembered. */
const MOST_REFUSED = 1_000;

interface PicturedRow {
  readonly id: string;
  readonly revision: number;
  /** The design file's text. */
  readonly content: string;
}

/** The pictures the wall shows: made once for each revision, ready before anybody asks where that can be. */
export class Pictures {
  private readonly waiting = new Map<string, NodeJS.Timeout>();
  private readonly underWay = new Map<string, Promise<Buffer>>();
  /** Why there is none of some revisions: they will not have one when it is asked for again. */
  private readonly refused = new Map<string, HttpProblem>();

  constructor(
    private readonly store: DesignStore,
    private readonly pools: Pools,
    /** Milliseconds a design rests after a save before its picture is made. */
    private readonly rest: number,
    /** Is told why a picture could not be made beforehand; whoever asks for it is told too. */
    private readonly onTrouble: (error: unknown) => void,
  ) {}

  /** Has a design's picture made once it has rested. */
  soon(id: string): void {
    clearTimeout(this.waiting.get(id));
    const timer = setTimeout(() => {
      this.waiting.delete(id);
      this.refresh(id).catch(this.onTrouble);
    }, this.rest);
    timer.unref();
    this.waiting.set(id, timer);
  }

  /** The picture of a design as it is, or as it was at another revision. */
  async of(row: PicturedRow): Promise<Buffer> {
    return (await this.store.picture(row.id, row.revision)) ?? this.make(row);
  }

  private async refresh(id: string): Promise<void> {
    const row = await this.store.find(id);
    if (row && row.binned === null) await this.of(row);
  }

  private make(row: PicturedRow): Promise<Buffer> {
    const key = `${row.id} ${row.revision}`;
    const refusal = this.refused.get(key);
    if (refusal) return Promise.reject(refusal);
    const making = this.underWay.get(key) ?? this.makeAndKeep(row, key).finally(() => this.underWay.delete(key));
    this.underWay.set(key, making);
    return making;
  }

  private async makeAndKeep({ id, revision, content }: PicturedRow, key: string): Promise<Buffer> {
    const png = await this.pools.picture(content, PIXELS).catch((error: unknown) => {
      // What is too much at once may go another time.
      if (error instanceof HttpProblem && error.problems !== null) this.remember(key, error);
      throw error;
    });
    // It can be shown although there is no room to keep it.
    await this.store.keepPicture(id, revision, png).catch(this.onTrouble);
    return png;
  }

  private remember(key: string, refusal: HttpProblem): void {
    if (this.refused.size >= MOST_REFUSED) this.refused.delete([...this.refused.keys()][0] ?? "");
    this.refused.set(key, refusal);
  }
}

import { and, asc, count, desc, eq, isNotNull, isNull, type SQL } from "drizzle-orm";
import { MOST_PIECES, type ShelfKind } from "@twin-petal/core";
import type { Database } from "./database";
import { isExpected, type Expected } from "./expected";
import type { SaveOutcome } from "./saveOutcome";
import { shelf } from "./schema";
import type { WriteQueue } from "./writeQueue";

/** A piece as it is listed. */
const LISTED = {
  id: shelf.id,
  kind: shelf.kind,
  name: shelf.name,
  revision: shelf.revision,
  changed: shelf.changed,
};

/** What is written of a piece: what it is called, and the text of the design that holds it. */
interface PieceContent {
  readonly name: string;
  readonly content: string;
}

/** The pieces that are kept to be used again. Every write is answered only once it is committed. */
export class ShelfStore {
  constructor(
    private readonly db: Database,
    private readonly queue: WriteQueue,
  ) {}

  /** All pieces, those changed last first. */
  list() {
    return this.db.select(LISTED).from(shelf).where(isNull(shelf.removed)).orderBy(desc(shelf.changed), asc(shelf.id));
  }

  /** All pieces with what they hold, in the order of the list. */
  whole() {
    return this.db.select().from(shelf).where(isNull(shelf.removed)).orderBy(desc(shelf.changed), asc(shelf.id));
  }

  /** A piece that is on the shelf. */
  async find(id: string) {
    const [row] = await this.db.select().from(shelf).where(isThere(id));
    return row;
  }

  /** Puts a piece on the shelf; false where it is full. */
  add(id: string, kind: ShelfKind, piece: PieceContent): Promise<boolean> {
    return this.queue.run(async () => {
      if (await this.isFull()) return false;
      await this.db.insert(shelf).values({ id, kind, revision: 1, changed: Date.now(), ...piece });
      return true;
    });
  }

  /** Replaces a piece if it is still at a revision that is expected. */
  save(id: string, piece: PieceContent, expected: Expected): Promise<SaveOutcome> {
    return this.queue.run(async () => {
      const current = await this.find(id);
      if (!current) return { kind: "missing" };
      if (!isExpected(expected, current.revision)) return { kind: "stale", revision: current.revision };
      const revision = current.revision + 1;
      await this.db
        .update(shelf)
        .set({ ...piece, revision, changed: Date.now() })
        .where(eq(shelf.id, id));
      return { kind: "saved", revision };
    });
  }

  /** Takes a piece off the shelf; false where there is none. */
  remove(id: string): Promise<boolean> {
    return this.queue.run(() => this.setRemoved(isThere(id), Date.now()));
  }

  /** Brings a piece back that was taken off; false where there is none, or the shelf is full. */
  restore(id: string): Promise<boolean> {
    return this.queue.run(async () => {
      if (await this.isFull()) return false;
      return this.setRemoved(and(eq(shelf.id, id), isNotNull(shelf.removed)), null);
    });
  }

  private async setRemoved(which: SQL | undefined, removed: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(shelf).set({ removed }).where(which);
    return rowsAffected > 0;
  }

  private async isFull(): Promise<boolean> {
    const [row] = await this.db.select({ pieces: count() }).from(shelf).where(isNull(shelf.removed));
    return (row?.pieces ?? 0) >= MOST_PIECES;
  }
}

const isThere = (id: string) => and(eq(shelf.id, id), isNull(shelf.removed));

import { and, asc, desc, eq, isNotNull, isNull, sql, type SQL } from "drizzle-orm";
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

  /** Whether a piece is on the shelf that holds this. */
  async has(kind: ShelfKind, content: string): Promise<boolean> {
    return (
      (await this.db.$count(shelf, and(isNull(shelf.removed), eq(shelf.kind, kind), eq(shelf.content, content)))) > 0
    );
  }

  /** A piece that is on the shelf. */
  async find(id: string) {
    const [row] = await this.db.select().from(shelf).where(isThere(id));
    return row;
  }

  /** Puts a piece on the shelf; false where it is full. */
  add(id: string, kind: ShelfKind, piece: PieceContent): Promise<boolean> {
    return this.queue.run(async () => {
      const { name, content } = piece;
      const changed = Date.now();
      const row = sql`select ${id}, ${kind}, ${name}, 1, ${changed}, null, ${content} where ${hasRoom}`;
      const { rowsAffected } = await this.db.run(
        sql`insert into ${shelf} (id, kind, name, revision, changed, removed, content) ${row}`,
      );
      return rowsAffected > 0;
    });
  }

  /** Replaces a piece if it is still at a revision that is expected. */
  save(id: string, piece: PieceContent, expected: Expected): Promise<SaveOutcome> {
    return this.queue.run(async () => {
      const current = await this.find(id);
      if (!current) return { kind: "missing" };
      if (!isExpected(expected, current.revision)) return { kind: "stale", revision: current.revision };
      const revision = current.revision + 1;
      const { rowsAffected } = await this.db
        .update(shelf)
        .set({ ...piece, revision, changed: Date.now() })
        .where(and(eq(shelf.id, id), eq(shelf.revision, current.revision)));
      return rowsAffected > 0 ? { kind: "saved", revision } : { kind: "stale", revision };
    });
  }

  /** Takes a piece off the shelf; false where there is none. */
  remove(id: string): Promise<boolean> {
    return this.queue.run(() => this.setRemoved(isThere(id), Date.now()));
  }

  /** Brings a piece back that was taken off; false where there is none, or the shelf is full. */
  restore(id: string): Promise<boolean> {
    return this.queue.run(() => this.setRemoved(and(eq(shelf.id, id), isNotNull(shelf.removed), hasRoom), null));
  }

  private async setRemoved(which: SQL | undefined, removed: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(shelf).set({ removed }).where(which);
    return rowsAffected > 0;
  }
}

const isThere = (id: string) => and(eq(shelf.id, id), isNull(shelf.removed));
/** Asked in the statement that writes: others may put something there meanwhile. */
const hasRoom = sql`(select count(*) from ${shelf} as own where own.removed is null) < ${MOST_PIECES}`;

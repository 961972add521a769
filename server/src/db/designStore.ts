import {
  and,
  asc,
  desc,
  eq,
  gt,
  isNotNull,
  isNull,
  ne,
  notInArray,
  or,
  sql,
  type AnyColumn,
  type SQL,
} from "drizzle-orm";
import type { ReadDesign } from "../pools";
import { ArrivalStore } from "./arrivalStore";
import type { Database } from "./database";
import { isExpected, type Expected } from "./expected";
import type { SaveOutcome } from "./saveOutcome";
import { designs, LATEST, MOST_REVISION, pictures, revisions } from "./schema";
import { ShelfStore } from "./shelfStore";
import { TakeStore } from "./takeStore";
import { thinnedOut } from "./thinning";
import { isTaken } from "./trouble";
import { WriteQueue } from "./writeQueue";

const PAGE = 60;

export type Order = "changed" | "name";

export interface ListQuery {
  readonly search: string;
  readonly order: Order;
  /** The last row of the page before: its sort value and id. */
  readonly after: { readonly value: string; readonly id: string } | null;
  readonly binned: boolean;
}

const LISTED = {
  id: designs.id,
  name: designs.name,
  revision: designs.revision,
  changed: designs.changed,
  width: designs.width,
  height: designs.height,
  unit: designs.unit,
  folds: designs.folds,
  copies: designs.copies,
};

/** The designs on disk. Every write is answered only once it is committed. */
export class DesignStore {
  private readonly queue = new WriteQueue();
  /** The states that are kept under a name. */
  readonly takes: TakeStore;
  /** What is kept to be used again. */
  readonly shelf: ShelfStore;
  /** What is being brought from a file. */
  readonly arrivals: ArrivalStore;

  constructor(private readonly db: Database) {
    this.takes = new TakeStore(db, this.queue);
    this.shelf = new ShelfStore(db, this.queue);
    this.arrivals = new ArrivalStore(db, this.queue);
  }

  async list({ search, order, after, binned }: ListQuery) {
    const column = order === "name" ? sql`lower(${designs.name})` : sql`${designs.changed}`;
    const conditions: (SQL | undefined)[] = [
      isHere,
      binned ? isNotNull(designs.binned) : isNull(designs.binned),
      search === "" ? undefined : sql`${designs.name} like ${`%${lettersOnly(search)}%`} escape '!'`,
      after ? pageAfter(column, order, after) : undefined,
    ];
    const rows = await this.db
      .select({ ...LISTED, sortValue: sql<string>`cast(${column} as text)` })
      .from(designs)
      .where(and(...conditions))
      .orderBy(order === "name" ? asc(column) : desc(column), asc(designs.id))
      .limit(PAGE + 1);
    return { rows: rows.slice(0, PAGE), more: rows.length > PAGE };
  }

  /** The ids of designs of which a number cannot be read: something else has written them. */
  async unreadable(): Promise<string[]> {
    const rows = await this.db
      .select({ id: designs.id })
      .from(designs)
      .where(sql`not ${isSound}`)
      .orderBy(asc(designs.id));
    return rows.map(({ id }) => id);
  }

  /** The ids of all designs while none of them was ever saved again or thrown away; null from then on. */
  async untouched(): Promise<string[] | null> {
    const rows = await this.db
      .select({ id: designs.id, revision: designs.revision, binned: designs.binned })
      .from(designs)
      .where(isHere);
    const isUntouched = rows.every(({ revision, binned }) => revision === 1 && binned === null);
    return isUntouched ? rows.map(({ id }) => id) : null;
  }

  async find(id: string) {
    const [row] = await this.db
      .select()
      .from(designs)
      .where(and(eq(designs.id, id), isHere));
    return row;
  }

  async create(id: string, { content, summary }: ReadDesign): Promise<void> {
    const row = { id, revision: 1, changed: Date.now(), content, ...summary };
    return this.queue.run(async () => {
      await this.db.batch([
        this.db.insert(designs).values(row),
        this.db.insert(revisions).values({ design: id, revision: 1, changed: row.changed, content }),
      ]);
    });
  }

  /** Replaces a design if it is still at a revision that is expected. */
  async save(id: string, { content, summary }: ReadDesign, expected: Expected): Promise<SaveOutcome> {
    return this.queue.run(async () => {
      const current = await this.find(id);
      if (!current || current.binned !== null) return { kind: "missing" };
      if (!isExpected(expected, current.revision)) return { kind: "stale", revision: current.revision };
      const revision = current.revision + 1;
      const changed = Date.now();
      try {
        await this.db.batch([
          this.db.insert(revisions).values({ design: id, revision, changed, content }),
          this.db
            .update(designs)
            .set({ ...summary, revision, changed, content })
            .where(eq(designs.id, id)),
          this.db.run(thinnedOut(id, revision, changed)),
        ]);
      } catch (error) {
        // Another server has saved meanwhile: a revision is there once only.
        if (isTaken(error)) return { kind: "stale", revision };
        throw error;
      }
      return { kind: "saved", revision };
    });
  }

  /** Puts a design in the bin, or takes it out; false when there is none there. */
  setBinned(id: string, binned: boolean): Promise<boolean> {
    return this.queue.run(async () => {
      const where = and(eq(designs.id, id), binned ? isNull(designs.binned) : isNotNull(designs.binned));
      const { rowsAffected } = await this.db
        .update(designs)
        .set({ binned: binned ? Date.now() : null })
        .where(where);
      return rowsAffected > 0;
    });
  }

  /** How many designs there are. */
  count(): Promise<number> {
    return this.db.$count(designs, isHere);
  }

  /** Every design there is, those in the bin too, without what it holds. */
  all() {
    const { id, name, revision, changed, binned } = designs;
    return this.db.select({ id, name, revision, changed, binned }).from(designs).where(isHere).orderBy(asc(id));
  }

  history(id: string) {
    const { revision, changed, take } = revisions;
    return this.db
      .select({ revision, changed, take })
      .from(revisions)
      .where(eq(revisions.design, id))
      .orderBy(desc(revision));
  }

  async revision(id: string, number: number) {
    const [row] = await this.db
      .select()
      .from(revisions)
      .where(and(eq(revisions.design, id), eq(revisions.revision, number)));
    return row;
  }

  async picture(id: string, revision: number): Promise<Buffer | null> {
    const [row] = await this.db
      .select()
      .from(pictures)
      .where(and(eq(pictures.design, id), eq(pictures.revision, revision)));
    return row?.png ?? null;
  }

  /** Keeps the picture of the present state, or of a take; others are made again when they are asked for. */
  keepPicture(id: string, revision: number, png: Buffer): Promise<void> {
    return this.queue.run(async () => {
      const [present, saved] = await Promise.all([this.find(id), this.revision(id, revision)]);
      const isKept = present?.revision === revision || typeof saved?.take === "string";
      if (!present || !isKept) return;
      const takes = this.db
        .select({ revision: revisions.revision })
        .from(revisions)
        .where(and(eq(revisions.design, id), isNotNull(revisions.take)));
      const isGone = and(ne(pictures.revision, present.revision), notInArray(pictures.revision, takes));
      await this.db.batch([
        this.db
          .insert(pictures)
          .values({ design: id, revision, png })
          .onConflictDoUpdate({ target: [pictures.design, pictures.revision], set: { png } }),
        this.db.delete(pictures).where(and(eq(pictures.design, id), isGone)),
      ]);
    });
  }
}

/** Whether a number of a row is a whole one that can be read as one. */
const isWhole = (column: AnyColumn, most: number) =>
  sql`(typeof(${column}) = 'integer' and ${column} between 0 and ${most})`;
/** A row that something else than this program wrote hides no others. */
const isSound = and(
  isWhole(designs.revision, MOST_REVISION),
  isWhole(designs.changed, LATEST),
  or(isNull(designs.binned), isWhole(designs.binned, LATEST)),
  isWhole(designs.folds, Number.MAX_SAFE_INTEGER),
  isWhole(designs.copies, Number.MAX_SAFE_INTEGER),
);
/** What is still being brought from a file is nowhere to be seen. */
const isHere = and(isNull(designs.arriving), isSound);

/** A text that stands for itself in a pattern, whose marks are letters then. */
const lettersOnly = (text: string) => text.replace(/[!%_]/g, "!$&");

/** Rows that come after one in the order; ids settle equal values. */
function pageAfter(column: SQL, order: Order, { value, id }: { value: string; id: string }): SQL | undefined {
  const mark = order === "name" ? sql`${value}` : sql`${Number(value)}`;
  const beyond = order === "name" ? sql`${column} > ${mark}` : sql`${column} < ${mark}`;
  return or(beyond, and(sql`${column} = ${mark}`, gt(designs.id, id)));
}

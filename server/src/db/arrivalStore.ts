import { and, eq, isNotNull, sql } from "drizzle-orm";
import type { ReadDesign } from "../pools";
import type { Database } from "./database";
import { designs, revisions } from "./schema";
import type { WriteQueue } from "./writeQueue";

/** A design as it comes from a file. */
export interface Arrival extends ReadDesign {
  readonly revision: number;
  /** Milliseconds since 1970. */
  readonly changed: number;
  readonly binned: number | null;
  /** What the present state is kept as; null where it is no take. */
  readonly take: string | null;
}

/** A take of it. */
export interface ArrivingTake {
  readonly revision: number;
  readonly changed: number;
  readonly take: string;
  readonly content: string;
}

/**
 * Designs that are being brought from a file, save by save so that others are not held up: nothing shows one until it has landed,
 * and one that does not land leaves nothing.
 */
export class ArrivalStore {
  constructor(
    private readonly db: Database,
    private readonly queue: WriteQueue,
  ) {}

  /** Begins to bring a design under a free id, for a server. */
  begin(id: string, server: string, { content, summary, revision, changed, binned, take }: Arrival): Promise<void> {
    return this.queue.run(async () => {
      await this.db.batch([
        this.db.insert(designs).values({ id, revision, changed, binned, content, arriving: server, ...summary }),
        this.db.insert(revisions).values({ design: id, revision, changed, content, take }),
      ]);
    });
  }

  /** Adds one of its takes. */
  add(id: string, take: ArrivingTake): Promise<void> {
    return this.queue.run(async () => {
      await this.db.insert(revisions).values({ design: id, ...take });
    });
  }

  /** It is here whole. */
  land(id: string): Promise<void> {
    return this.queue.run(async () => {
      await this.db.update(designs).set({ arriving: null }).where(eq(designs.id, id));
    });
  }

  /**
   * It becomes the present state of a design that is here, out of the bin: what was here stays as an earlier save, and takes come
   * along that are not here yet.
   */
  landOn(target: string, id: string): Promise<void> {
    const now = Date.now();
    const isPresent = sql`arrived.revision = (select revision from designs where id = ${id})`;
    const isHere = sql`exists (select 1 from revisions as own where own.design = ${target} and own.take = arrived.take and own.content = arrived.content)`;
    return this.queue.run(async () => {
      await this.db.batch([
        this.db.run(sql`insert into revisions (design, revision, changed, take, content)
          select ${target},
            (select max(revision) from revisions where design = ${target}) + row_number() over (order by arrived.revision),
            arrived.changed, case when ${isHere} then null else arrived.take end, arrived.content
          from revisions as arrived where arrived.design = ${id} and (${isPresent} or not ${isHere})`),
        this.db.run(sql`update designs set
            (name, width, height, unit, folds, copies, content) =
              (select name, width, height, unit, folds, copies, content from designs where id = ${id}),
            revision = (select max(revision) from revisions where design = ${target}), changed = ${now}, binned = null
          where id = ${target}`),
        this.db.delete(designs).where(eq(designs.id, id)),
      ]);
    });
  }

  /** What a server began to bring and will not finish goes. */
  async clear(server: string): Promise<void> {
    await this.queue.run(async () => {
      await this.db.delete(designs).where(and(isNotNull(designs.arriving), eq(designs.arriving, server)));
    });
  }
}

import { randomUUID } from "node:crypto";
import { and, eq, inArray, isNotNull, isNull, lt, ne, notInArray, or, sql } from "drizzle-orm";
import type { Database } from "./database";
import { designs, jobs, servers } from "./schema";

/** One of several servers says so often that it is there, milliseconds. */
const SAID_EVERY = 5_000;
/** One that has not said so for this long is gone, milliseconds. */
const GONE_AFTER = 30_000;
/** Now, by the database's own clock: those of machines differ. */
const NOW = sql<number>`cast(unixepoch('subsec') * 1000 as integer)`;

/**
 * One server among those that work on a database. What one that has gone was doing is put in order: its jobs are interrupted,
 * what it was still bringing from files goes.
 */
export class Presence {
  readonly id = randomUUID();
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly db: Database,
    /** Whether no other works on the database: then it need be said once only. */
    private readonly isAlone: boolean,
    private readonly onTrouble: (error: unknown) => void,
  ) {}

  /** Says from now on that the server is there. A database that cannot be written to is told, and tried again. */
  async begin(): Promise<void> {
    const isSaid = await this.say().then(
      () => true,
      (error: unknown) => {
        this.onTrouble(error);
        return false;
      },
    );
    if (isSaid && this.isAlone) return;
    this.timer = setTimeout(() => {
      this.begin().catch(this.onTrouble);
    }, SAID_EVERY).unref();
  }

  /** Leaves; what is still under way here is interrupted. */
  async end(): Promise<void> {
    clearTimeout(this.timer);
    await this.db.delete(servers).where(eq(servers.id, this.id));
  }

  private async say(): Promise<void> {
    const { id } = this;
    const isGone = this.isAlone ? ne(servers.id, id) : lt(servers.seen, sql`${NOW} - ${GONE_AFTER}`);
    const there = this.db.select({ id: servers.id }).from(servers);
    const ofNobody = or(isNull(jobs.server), notInArray(jobs.server, there));
    await this.db.batch([
      this.db
        .insert(servers)
        .values({ id, seen: NOW })
        .onConflictDoUpdate({ target: servers.id, set: { seen: NOW } }),
      this.db.delete(servers).where(isGone),
      this.db
        .update(jobs)
        .set({ state: "interrupted", trouble: "The server was ended while it ran; run it again." })
        .where(and(inArray(jobs.state, ["running", "paused"]), ofNobody)),
      this.db.delete(jobs).where(and(eq(jobs.state, "opening"), ofNobody)),
      this.db.delete(designs).where(and(isNotNull(designs.arriving), notInArray(designs.arriving, there))),
    ]);
  }
}

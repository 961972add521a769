import { and, desc, eq, ne, notInArray, sql } from "drizzle-orm";
import type { Database } from "../db/database";
import { jobs } from "../db/schema";
import { WriteQueue } from "../db/writeQueue";

/** A job as it is kept, without its file. */
export type JobRow = Omit<typeof jobs.$inferSelect, "file" | "trace" | "server">;
type NewJob = typeof jobs.$inferInsert;
/** What is known of a job before its file is read. */
export type Opening = Pick<JobRow, "id" | "device" | "name" | "created" | "settings" | "pace">;

/** Devices that run at once: each has a process of its own. */
export const MOST_RUNNING = 4;

/** Jobs that are kept; older ones that have ended make room for new ones. */
const KEPT = 100;

const LISTED = {
  id: jobs.id,
  device: jobs.device,
  name: jobs.name,
  state: jobs.state,
  created: jobs.created,
  steps: jobs.steps,
  done: jobs.done,
  pace: jobs.pace,
  settings: jobs.settings,
  report: jobs.report,
  trouble: jobs.trouble,
};

/** What simulated devices have done and are doing, on disk. */
export class JobStore {
  private readonly queue = new WriteQueue();

  constructor(
    private readonly db: Database,
    /** The server whose devices these are. */
    private readonly server: string,
  ) {}

  list(): Promise<JobRow[]> {
    return this.db.select(LISTED).from(jobs).where(ne(jobs.state, "opening")).orderBy(desc(jobs.created)).limit(KEPT);
  }

  async find(id: string): Promise<JobRow | undefined> {
    const [row] = await this.db.select(LISTED).from(jobs).where(eq(jobs.id, id));
    return row;
  }

  async fileOf(id: string): Promise<Buffer | undefined> {
    const [row] = await this.db.select({ file: jobs.file }).from(jobs).where(eq(jobs.id, id));
    return row?.file;
  }

  async traceOf(id: string): Promise<string | null> {
    const [row] = await this.db.select({ trace: jobs.trace }).from(jobs).where(eq(jobs.id, id));
    return row?.trace ?? null;
  }

  /** Writes down that a device opens a file at this server; false where as many are at work already as may be. */
  open({ id, device, name, created, settings, pace }: Opening): Promise<boolean> {
    const atWork = sql`(select count(*) from ${jobs} as own where own.server = ${this.server} and own.state in ('opening', 'running', 'paused'))`;
    const row = sql`select ${id}, ${device}, ${name}, 'opening', ${created}, 0, 0, ${pace}, ${settings}, zeroblob(0), ${this.server}`;
    return this.queue.run(async () => {
      // Counted in the statement that writes: many may be begun at once.
      const { rowsAffected } = await this.db.run(
        sql`insert into ${jobs} (id, device, name, state, created, steps, done, pace, settings, file, server) ${row} where ${atWork} < ${MOST_RUNNING}`,
      );
      return rowsAffected > 0;
    });
  }

  /** A device that was opening a file begins, and older jobs make room. */
  begin(id: string, steps: number, file: Buffer): Promise<void> {
    const newest = this.db.select({ id: jobs.id }).from(jobs).orderBy(desc(jobs.created)).limit(KEPT);
    const isOver = notInArray(jobs.state, ["opening", "running", "paused"]);
    return this.queue.run(async () => {
      await this.db.batch([
        this.db.update(jobs).set({ state: "running", steps, file }).where(eq(jobs.id, id)),
        this.db.delete(jobs).where(and(notInArray(jobs.id, newest), isOver)),
      ]);
    });
  }

  /** A file that a device could not open leaves nothing. */
  forget(id: string): Promise<void> {
    return this.queue.run(async () => {
      await this.db.delete(jobs).where(eq(jobs.id, id));
    });
  }

  change(id: string, change: Partial<NewJob>): Promise<void> {
    return this.queue.run(async () => {
      await this.db.update(jobs).set(change).where(eq(jobs.id, id));
    });
  }
}

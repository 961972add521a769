import { desc, eq, inArray } from "drizzle-orm";
import type { Database } from "../db/database";
import { jobs } from "../db/schema";
import { WriteQueue } from "../db/writeQueue";

/** A job as it is kept, without its file. */
export type JobRow = Omit<typeof jobs.$inferSelect, "file" | "trace">;
type NewJob = typeof jobs.$inferInsert;

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

  constructor(private readonly db: Database) {}

  /** What ran when the server ended runs no more. */
  async interruptAll(): Promise<void> {
    await this.queue.run(() =>
      this.db
        .update(jobs)
        .set({ state: "interrupted", trouble: "The server was ended while it ran; run it again." })
        .where(inArray(jobs.state, ["running", "paused"])),
    );
  }

  list(): Promise<JobRow[]> {
    return this.db.select(LISTED).from(jobs).orderBy(desc(jobs.created)).limit(KEPT);
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

  add(job: NewJob): Promise<void> {
    return this.queue.run(async () => {
      await this.db.insert(jobs).values(job);
      const old = (await this.db.select({ id: jobs.id, state: jobs.state }).from(jobs).orderBy(desc(jobs.created)))
        .slice(KEPT)
        .filter(({ state }) => state !== "running" && state !== "paused")
        .map(({ id }) => id);
      if (old.length > 0) await this.db.delete(jobs).where(inArray(jobs.id, old));
    });
  }

  change(id: string, change: Partial<NewJob>): Promise<void> {
    return this.queue.run(async () => {
      await this.db.update(jobs).set(change).where(eq(jobs.id, id));
    });
  }
}

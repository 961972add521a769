import { and, desc, eq, isNotNull } from "drizzle-orm";
import type { Database } from "./database";
import { revisions } from "./schema";
import type { WriteQueue } from "./writeQueue";

/** A state of a design that is kept under a name. */
interface Take {
  readonly revision: number;
  readonly name: string;
  /** Milliseconds since 1970. */
  readonly changed: number;
}

/** The states of designs that are kept under a name: saves that are never given up. */
export class TakeStore {
  constructor(
    private readonly db: Database,
    private readonly queue: WriteQueue,
  ) {}

  /** A design's takes, the latest first. */
  async list(design: string): Promise<Take[]> {
    const { revision, changed, take } = revisions;
    const rows = await this.db
      .select({ revision, changed, take })
      .from(revisions)
      .where(and(eq(revisions.design, design), isNotNull(take)))
      .orderBy(desc(revision));
    return rows.flatMap(({ take: name, ...row }) => (name === null ? [] : [{ ...row, name }]));
  }

  /** The same with their design files' texts. */
  async whole(design: string): Promise<(Take & { readonly content: string })[]> {
    const { revision, changed, take, content } = revisions;
    const rows = await this.db
      .select({ revision, changed, take, content })
      .from(revisions)
      .where(and(eq(revisions.design, design), isNotNull(take)))
      .orderBy(desc(revision));
    return rows.flatMap(({ take: name, ...row }) => (name === null ? [] : [{ ...row, name }]));
  }

  /** Keeps a save under a name, or lets go of it; false where there is no such save. */
  name(design: string, revision: number, name: string | null): Promise<boolean> {
    return this.queue.run(async () => {
      const { rowsAffected } = await this.db
        .update(revisions)
        .set({ take: name })
        .where(and(eq(revisions.design, design), eq(revisions.revision, revision)));
      return rowsAffected > 0;
    });
  }
}

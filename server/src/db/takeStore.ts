import { and, desc, eq, isNotNull, lt, or, sql } from "drizzle-orm";
import type { Database } from "./database";
import { revisions } from "./schema";
import type { WriteQueue } from "./writeQueue";

/** Takes of one design; each holds a whole design file. */
export const MOST_TAKES = 500;

/** What came of keeping a save under a name. */
export type Named = "named" | "full" | "missing";

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

  /** The design file's text of a save; undefined where there is none. */
  async contentOf(design: string, revision: number): Promise<string | undefined> {
    const [row] = await this.db
      .select({ content: revisions.content })
      .from(revisions)
      .where(and(eq(revisions.design, design), eq(revisions.revision, revision)));
    return row?.content;
  }

  /** Whether a design has a take of a name that holds this. */
  async has(design: string, name: string, content: string): Promise<boolean> {
    const same = and(eq(revisions.design, design), eq(revisions.take, name), eq(revisions.content, content));
    return (await this.db.$count(revisions, same)) > 0;
  }

  /** Keeps a save under a name, unless there are as many takes as a design may have. */
  name(design: string, revision: number, name: string): Promise<Named> {
    const save = and(eq(revisions.design, design), eq(revisions.revision, revision));
    const takes = sql`(select count(*) from ${revisions} as own where own.design = ${design} and own.take is not null)`;
    return this.queue.run(async () => {
      // Counted in the statement that writes: others may name one meanwhile.
      const { rowsAffected } = await this.db
        .update(revisions)
        .set({ take: name })
        .where(and(save, or(isNotNull(revisions.take), lt(takes, MOST_TAKES))));
      if (rowsAffected > 0) return "named";
      const [row] = await this.db.select({ revision: revisions.revision }).from(revisions).where(save);
      return row ? "full" : "missing";
    });
  }

  /** Lets go of a take: it is an earlier save like others from now on. */
  unname(design: string, revision: number): Promise<void> {
    return this.queue.run(async () => {
      await this.db
        .update(revisions)
        .set({ take: null })
        .where(and(eq(revisions.design, design), eq(revisions.revision, revision)));
    });
  }
}

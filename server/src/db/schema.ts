import { SHELF_KINDS } from "@twin-petal/core";
import { index, integer, primaryKey, real, sqliteTable, text, blob } from "drizzle-orm/sqlite-core";

/** No design is saved more often than this. */
export const MOST_REVISION = 999_999_999;

/** The latest moment there is a date for, milliseconds since 1970 (ECMAScript, time values). */
export const LATEST = 8.64e15;

/** The designs as they stand. What the wall shows is kept beside the content, so that listing reads none of it. */
export const designs = sqliteTable(
  "designs",
  {
    id: text("id").primaryKey(),
    name: text("name").notNull(),
    revision: integer("revision").notNull(),
    /** Milliseconds since 1970. */
    changed: integer("changed").notNull(),
    /** When it went to the bin; null while it is on the wall. */
    binned: integer("binned"),
    /** The server that is still bringing it from a file; null once it is here whole. Nothing shows it before. */
    arriving: text("arriving"),
    /** Millimetres. */
    width: real("width").notNull(),
    height: real("height").notNull(),
    unit: text("unit").notNull(),
    /** The count of its widest turn or ring; 1 when it has none. */
    folds: integer("folds").notNull(),
    copies: integer("copies").notNull(),
    /** The design file's text. */
    content: text("content").notNull(),
  },
  // It stands behind the content in every row: without this, listing would read all of that.
  (table) => [index("designs_arriving").on(table.arriving)],
);

/** Every saved state of every design. */
export const revisions = sqliteTable(
  "revisions",
  {
    design: text("design")
      .notNull()
      .references(() => designs.id, { onDelete: "cascade" }),
    revision: integer("revision").notNull(),
    changed: integer("changed").notNull(),
    /** The name of a kept take; null for an ordinary save. */
    take: text("take"),
    content: text("content").notNull(),
  },
  (table) => [primaryKey({ columns: [table.design, table.revision] })],
);

/** Small pictures of designs, made once for each revision: of the present one, and of takes for good. */
export const pictures = sqliteTable(
  "pictures",
  {
    design: text("design")
      .notNull()
      .references(() => designs.id, { onDelete: "cascade" }),
    revision: integer("revision").notNull(),
    png: blob("png", { mode: "buffer" }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.design, table.revision] })],
);

/** What is kept to be used again in other designs. */
export const shelf = sqliteTable("shelf", {
  id: text("id").primaryKey(),
  kind: text("kind", { enum: SHELF_KINDS }).notNull(),
  name: text("name").notNull(),
  revision: integer("revision").notNull(),
  /** Milliseconds since 1970. */
  changed: integer("changed").notNull(),
  /** When it was taken off; null while it is there. */
  removed: integer("removed"),
  /** The text of the design file that holds it. */
  content: text("content").notNull(),
});

/** The servers that work on this database. */
export const servers = sqliteTable("servers", {
  id: text("id").primaryKey(),
  /** When it last said that it is there, milliseconds since 1970 by the database's clock. */
  seen: integer("seen").notNull(),
});

/** What simulated devices were given to do. The file is kept, so that it can be run again. */
export const jobs = sqliteTable("jobs", {
  id: text("id").primaryKey(),
  /** The device's name. */
  device: text("device").notNull(),
  /** What the file is called. */
  name: text("name").notNull(),
  /** One that is being opened is none yet: its device still reads the file. */
  state: text("state", {
    enum: ["opening", "running", "paused", "done", "stopped", "interrupted", "failed"],
  }).notNull(),
  /** The server its device runs at. */
  server: text("server"),
  /** Milliseconds since 1970. */
  created: integer("created").notNull(),
  steps: integer("steps").notNull(),
  done: integer("done").notNull(),
  /** How many times faster than the device would be; null for at once. */
  pace: real("pace"),
  /** As JSON. */
  settings: text("settings").notNull(),
  /** What the device did, as JSON; null until it has ended. */
  report: text("report"),
  /** Every step it did, as JSON; null until it has ended. */
  trace: text("trace"),
  /** Why it failed, in words. */
  trouble: text("trouble"),
  file: blob("file", { mode: "buffer" }).notNull(),
});

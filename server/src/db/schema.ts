import { integer, primaryKey, real, sqliteTable, text, blob } from "drizzle-orm/sqlite-core";

/** The designs as they stand. What the wall shows is kept beside the content, so that listing reads none of it. */
export const designs = sqliteTable("designs", {
  id: text("id").primaryKey(),
  name: text("name").notNull(),
  revision: integer("revision").notNull(),
  /** Milliseconds since 1970. */
  changed: integer("changed").notNull(),
  /** When it went to the bin; null while it is on the wall. */
  binned: integer("binned"),
  /** Millimetres. */
  width: real("width").notNull(),
  height: real("height").notNull(),
  unit: text("unit").notNull(),
  /** The count of its widest turn or ring; 1 when it has none. */
  folds: integer("folds").notNull(),
  copies: integer("copies").notNull(),
  /** The design file's text. */
  content: text("content").notNull(),
});

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

/** Small pictures of designs, made once for each revision. */
export const pictures = sqliteTable("pictures", {
  design: text("design")
    .primaryKey()
    .references(() => designs.id, { onDelete: "cascade" }),
  revision: integer("revision").notNull(),
  png: blob("png", { mode: "buffer" }).notNull(),
});

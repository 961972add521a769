import { randomUUID } from "node:crypto";
import { createServer, type IncomingMessage } from "node:http";
import type { AddressInfo } from "node:net";
import { setTimeout as wait } from "node:timers/promises";
import SqliteDatabase from "libsql";

/** A value as the protocol writes it. */
type Value =
  | { readonly type: "null" }
  | { readonly type: "integer"; readonly value: string }
  | { readonly type: "float"; readonly value: number }
  | { readonly type: "text"; readonly value: string }
  | { readonly type: "blob"; readonly base64: string };

interface Statement {
  readonly sql?: string;
  readonly sql_id?: number;
  readonly args?: readonly Value[];
}

type Condition =
  | { readonly type: "ok"; readonly step: number }
  | { readonly type: "error"; readonly step: number }
  | { readonly type: "not"; readonly cond: Condition }
  | { readonly type: "and"; readonly conds: readonly Condition[] }
  | { readonly type: "or"; readonly conds: readonly Condition[] };

interface Step {
  readonly condition?: Condition | null;
  readonly stmt: Statement;
}

type Request =
  | { readonly type: "execute"; readonly stmt: Statement }
  | { readonly type: "batch"; readonly batch: { readonly steps: readonly Step[] } }
  | { readonly type: "sequence"; readonly sql?: string; readonly sql_id?: number }
  | { readonly type: "store_sql"; readonly sql_id: number; readonly sql: string }
  | { readonly type: "close_sql"; readonly sql_id: number }
  | { readonly type: "close" };

interface Pipeline {
  readonly baton: string | null;
  readonly requests: readonly Request[];
}

/** Whoever else writes is waited for so long, milliseconds. */
const PATIENCE = 5_000;

/** A connection that goes on from one request to the next, so that a transaction may be open over several. */
class Stream {
  private readonly connection: SqliteDatabase.Database;
  private readonly stored = new Map<number, string>();

  constructor(file: string) {
    this.connection = new SqliteDatabase(file);
    this.connection.pragma("journal_mode = WAL");
  }

  close(): void {
    this.connection.close();
  }

  async answer(request: Request): Promise<object> {
    switch (request.type) {
      case "execute":
        return { result: await this.execute(request.stmt) };
      case "batch":
        return { result: await this.batch(request.batch.steps) };
      case "sequence":
        this.connection.exec(this.textOf(request));
        return {};
      case "store_sql":
        this.stored.set(request.sql_id, request.sql);
        return {};
      case "close_sql":
        this.stored.delete(request.sql_id);
        return {};
      case "close":
        return {};
    }
  }

  private async batch(steps: readonly Step[]) {
    const results: (object | null)[] = [];
    const errors: (object | null)[] = [];
    const holds = (condition: Condition): boolean => {
      switch (condition.type) {
        case "not":
          return !holds(condition.cond);
        case "and":
          return condition.conds.every(holds);
        case "or":
          return condition.conds.some(holds);
        case "ok":
          return results[condition.step] !== null;
        case "error":
          return errors[condition.step] !== null;
      }
    };
    for (const { condition, stmt } of steps) {
      const [result, error] =
        condition && !holds(condition)
          ? [null, null]
          : await this.execute(stmt).then(
              (done) => [done, null] as const,
              (failed: unknown) => [null, errorWords(failed)] as const,
            );
      results.push(result);
      errors.push(error);
    }
    return { step_results: results, step_errors: errors };
  }

  /** Other streams of this process write meanwhile, so nobody is waited for without letting go. */
  private async execute(stmt: Statement, until = Date.now() + PATIENCE): Promise<object> {
    try {
      return this.executed(this.textOf(stmt), (stmt.args ?? []).map(storedValue));
    } catch (error) {
      if (codeOf(error) !== "SQLITE_BUSY" || Date.now() > until) throw error;
      await wait(5);
      return this.execute(stmt, until);
    }
  }

  private executed(sql: string, args: readonly unknown[]): object {
    const prepared = this.connection.prepare(sql).safeIntegers(true);
    if (!prepared.reader) {
      const { changes, lastInsertRowid } = prepared.run(args);
      return { cols: [], rows: [], affected_row_count: Number(changes), last_insert_rowid: String(lastInsertRowid) };
    }
    const cols = prepared.columns().map(({ name }) => ({ name }));
    const rows: unknown[] = prepared.raw(true).all(args);
    const written = rows.map((row) => (Array.isArray(row) ? row.map(writtenValue) : []));
    return { cols, rows: written, affected_row_count: 0, last_insert_rowid: null };
  }

  private textOf({ sql, sql_id }: Pick<Statement, "sql" | "sql_id">): string {
    const text = sql ?? this.stored.get(sql_id ?? Number.NaN);
    if (text === undefined) throw new Error("there is no such stored text");
    return text;
  }
}

function storedValue(value: Value): unknown {
  if (value.type === "null") return null;
  if (value.type === "blob") return Buffer.from(value.base64, "base64");
  return value.type === "integer" ? BigInt(value.value) : value.value;
}

function writtenValue(value: unknown): Value {
  if (typeof value === "bigint") return { type: "integer", value: String(value) };
  if (typeof value === "number") return { type: "float", value };
  if (typeof value === "string") return { type: "text", value };
  if (value instanceof Uint8Array) return { type: "blob", base64: Buffer.from(value).toString("base64") };
  return { type: "null" };
}

function codeOf(error: unknown): string | undefined {
  return error instanceof Error && "code" in error && typeof error.code === "string" ? error.code : undefined;
}

function errorWords(error: unknown) {
  return { message: error instanceof Error ? error.message : String(error), code: codeOf(error) };
}

/**
 * A server of one database file over HTTP, as the database client's protocol has it (`POST /v2/pipeline`, JSON): streams are told by
 * batons, each its own connection. Gives its address, and what ends it.
 */
export async function startDatabaseServer(file: string): Promise<{ url: string; close: () => Promise<void> }> {
  const streams = new Map<string, Stream>();
  const answered = async ({ baton, requests }: Pipeline): Promise<object> => {
    const stream = (baton === null ? undefined : streams.get(baton)) ?? new Stream(file);
    if (baton !== null) streams.delete(baton);
    const results: object[] = [];
    for (const request of requests) {
      results.push(
        await stream.answer(request).then(
          (response) => ({ type: "ok", response: { type: request.type, ...response } }),
          (error: unknown) => ({ type: "error", error: errorWords(error) }),
        ),
      );
    }
    const next = requests.some(({ type }) => type === "close") ? null : randomUUID();
    if (next === null) stream.close();
    else streams.set(next, stream);
    return { baton: next, base_url: null, results };
  };
  const server = createServer((request, response) => {
    const isPipeline = request.method === "POST" && request.url === "/v2/pipeline";
    const answer = isPipeline ? bodyOf(request).then(answered) : Promise.reject(new Error("there is nothing here"));
    answer.then(
      (body) => response.writeHead(200, { "content-type": "application/json" }).end(JSON.stringify(body)),
      (error: unknown) => response.writeHead(404).end(String(error)),
    );
  });
  await new Promise<void>((listening) => server.listen(0, "127.0.0.1", listening));
  const address = server.address();
  return {
    url: `http://127.0.0.1:${isPort(address) ? address.port : 0}`,
    close: () =>
      new Promise((closed) => {
        for (const stream of streams.values()) stream.close();
        server.closeAllConnections();
        server.close(() => closed());
      }),
  };
}

function isPort(address: string | AddressInfo | null): address is AddressInfo {
  return typeof address === "object" && address !== null;
}

async function bodyOf(request: IncomingMessage): Promise<Pipeline> {
  const pieces: Buffer[] = [];
  for await (const piece of request) pieces.push(Buffer.from(piece));
  return JSON.parse(Buffer.concat(pieces).toString("utf8"));
}

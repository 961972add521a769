import { spawn, spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, test } from "@jest/globals";
import { createClient } from "@libsql/client";
import { answer, callsTo } from "./calls";
import { insertDesign, olderDatabase } from "./olderDatabase";
import { emptyDataFolder, newDataFolder, startServer } from "./running";
import { DEMO, DESIGN } from "./served";

/** What the server says when it does not start. */
function refusal(folder: string): Promise<{ code: number | null; said: string }> {
  const child = spawn(process.execPath, ["server/dist/main.js"], {
    env: { ...process.env, PORT: "0", TWIN_PETAL_DATA: folder },
    stdio: ["ignore", "pipe", "pipe"],
  });
  let said = "";
  const hear = (piece: Buffer) => {
    said += piece.toString();
    if (said.includes("http://")) child.kill();
  };
  child.stdout.on("data", hear);
  child.stderr.on("data", hear);
  return new Promise((resolve) => child.on("exit", (code) => resolve({ code, said })));
}

describe("the data folder", () => {
  test("belongs to one server: a second says so and ends, and a new one starts once the first is gone", async () => {
    const folder = newDataFolder();
    const first = await startServer(folder);
    expect(await refusal(folder)).toEqual({ code: 1, said: expect.stringContaining("Another server works on") });
    expect((await fetch(`${first.address}/api/health`)).status).toBe(200);
    await first.kill();
    const next = await startServer(folder);
    expect((await fetch(`${next.address}/api/health`)).status).toBe(200);
    await next.kill();
  }, 60_000);

  test("seeding that was cut off goes on; what was worked on or thrown away is left alone", async () => {
    const folder = emptyDataFolder();
    const whole = await startServer(folder);
    await whole.kill();
    const open = () => createClient({ url: `file:${join(folder, "twin-petal.db")}` });
    const idsIn = async (): Promise<string[]> => {
      const client = open();
      const { rows } = await client.execute("select id from designs order by id");
      client.close();
      return rows.map(({ id }) => (typeof id === "string" ? id : ""));
    };
    const change = async (sql: string) => {
      const client = open();
      await client.execute(sql);
      client.close();
    };
    await change("delete from designs where id > 'm'");
    expect((await idsIn()).length).toBeLessThan(DEMO.length);
    await (await startServer(folder)).kill();
    expect(await idsIn()).toEqual([...DEMO].sort());
    // Worked on, then some gone: nothing comes back by itself.
    await change("delete from designs where id > 'm'");
    await change("update designs set revision = 2 where id = 'fountain'");
    const left = await idsIn();
    await (await startServer(folder)).kill();
    expect(await idsIn()).toEqual(left);
  }, 60_000);

  test("a damaged database is told with the last good copy, and left as it is; by one command it is set aside", async () => {
    const folder = newDataFolder();
    const server = await startServer(folder);
    const { id } = await answer(callsTo(server).send("POST", "/api/designs", DESIGN));
    // The copy of the day is made at the start, of a database that was found right.
    while (
      !existsSync(join(folder, "copies")) ||
      !readdirSync(join(folder, "copies")).some((name) => name.endsWith(".db"))
    ) {
      await new Promise((rest) => setTimeout(rest, 20));
    }
    await server.kill();
    const path = join(folder, "twin-petal.db");
    const client = createClient({ url: `file:${path}` });
    await client.execute("PRAGMA wal_checkpoint(TRUNCATE)");
    client.close();
    const bytes = readFileSync(path);
    for (let at = 8_192; at < bytes.length; at += 1) bytes[at] = (at * 7) % 251;
    writeFileSync(path, bytes);
    const { code, said } = await refusal(folder);
    expect(code).toBe(1);
    expect(said).toMatch(/is damaged: .*\nThe last good copy is .*\.db\. To go on with it/);
    expect(readFileSync(path).equals(bytes)).toBe(true);
    const copy = /copy is (\S+\.db)/.exec(said)?.[1] ?? "";
    const restored = spawnSync(process.execPath, ["server/dist/keep.js", "--restore", copy], {
      env: { ...process.env, TWIN_PETAL_DATA: folder },
      encoding: "utf8",
    });
    expect(restored.stdout).toContain("is the database now");
    const again = await startServer(folder);
    const { designs } = await answer(callsTo(again).call("/api/designs?sort=name"));
    expect(designs.length).toBe(DEMO.length);
    expect(designs.some((design) => design.id === id)).toBe(false);
    await again.kill();
    expect(readdirSync(folder).some((name) => name.includes("damaged"))).toBe(true);
  }, 60_000);

  test("one that a newer version wrote is not opened", async () => {
    const folder = emptyDataFolder();
    const client = await olderDatabase(folder, 99);
    await insertDesign(client, "own", JSON.stringify(DESIGN), 1, 1);
    await client.execute("insert into __drizzle_migrations (hash, created_at) values ('later', 99999999999999)");
    client.close();
    expect(await refusal(folder)).toEqual({ code: 1, said: expect.stringContaining("a newer version") });
  }, 60_000);

  test("a folder that cannot be used is told by what is wrong with it, and nothing is made in its place", async () => {
    const aFile = join(emptyDataFolder(), "file");
    writeFileSync(aFile, "a file");
    const lockFolder = emptyDataFolder();
    mkdirSync(join(lockFolder, "server.lock"));
    const lockOdd = emptyDataFolder();
    writeFileSync(
      join(lockOdd, "server.lock"),
      "no lock at all, but letters enough to be looked at as a database".repeat(20),
    );
    const databaseFolder = emptyDataFolder();
    mkdirSync(join(databaseFolder, "twin-petal.db"));
    const cases: [string, string][] = [
      [aFile, `${aFile} is a file; designs are kept in a folder.`],
      [join(aFile, "below"), `${join(aFile, "below")} is a file; designs are kept in a folder.`],
      [lockFolder, `${join(lockFolder, "server.lock")} cannot be opened as what it should be`],
      [lockOdd, `${join(lockOdd, "server.lock")} cannot be used`],
      [databaseFolder, `${join(databaseFolder, "twin-petal.db")} cannot be opened as what it should be`],
    ];
    for (const [folder, words] of cases) {
      const { code, said } = await refusal(folder);
      expect([code, said]).toEqual([1, expect.stringContaining(words)]);
      expect(said).toContain("Another folder can be chosen");
      expect(said).not.toMatch(/\n\s+at /);
    }
  }, 60_000);

  test.each(["empty", "gone"])(
    "a database that is %s beside copies of it is not begun anew without a word",
    async (how) => {
      const folder = newDataFolder();
      mkdirSync(join(folder, "copies"), { recursive: true });
      const copy = join(folder, "copies", "9999-01-02.db");
      const path = join(folder, "twin-petal.db");
      const client = createClient({ url: `file:${path}` });
      await client.execute({ sql: "vacuum into ?", args: [copy] });
      client.close();
      for (const ending of ["", "-wal", "-shm"]) rmSync(path + ending, { force: true });
      if (how === "empty") writeFileSync(path, "");
      const { code, said } = await refusal(folder);
      expect([code, said]).toEqual([
        1,
        expect.stringContaining(`is ${how}, though there are copies of it. The last is ${copy}`),
      ]);
      const env = { ...process.env, TWIN_PETAL_DATA: folder };
      spawnSync(process.execPath, ["server/dist/keep.js", "--restore", copy], { env });
      const server = await startServer(folder);
      expect((await answer(callsTo(server).call("/api/designs"))).designs).toHaveLength(DEMO.length);
      await server.kill();
    },
    60_000,
  );

  test("rows with numbers no design has hide no others: those of before are put right, others are told", async () => {
    const folder = emptyDataFolder();
    const older = await olderDatabase(folder, 4);
    for (const [id, revision, changed] of [
      ["late", "1", "9007199254740992"],
      ["often", "1e308", "5"],
      ["oftener", "9007199254740991", "5"],
    ] as const) {
      await insertDesign(older, id, JSON.stringify(DESIGN), 1, 1);
      await older.execute(`insert into revisions values ('${id}', ${revision}, ${changed}, null, '{}')`);
      await older.execute(`update designs set revision = ${revision}, changed = ${changed} where id = '${id}'`);
    }
    older.close();
    const server = await startServer(folder);
    const { call, send } = callsTo(server);
    const ids = async () => (await answer(call("/api/designs?sort=name"))).designs.map(({ id }) => id);
    expect(await ids()).toEqual(["late", "often", "oftener"]);
    for (const id of ["late", "often", "oftener"]) {
      expect((await send("PUT", `/api/designs/${id}`, DESIGN, { "If-Match": "*" })).status).toBe(200);
      expect((await call(`/api/designs/${id}/revisions`)).status).toBe(200);
    }
    const beside = createClient({ url: `file:${join(folder, "twin-petal.db")}` });
    await beside.execute("update designs set changed = 9007199254740993 where id = 'late'");
    beside.close();
    const list = await answer(call("/api/designs"));
    expect(list.designs.map(({ id }) => id).sort()).toEqual(["often", "oftener"]);
    expect(list.unreadable).toEqual(["late"]);
    expect((await call("/api/designs/late")).status).toBe(404);
    expect((await call("/api/keep")).status).toBe(200);
    await server.kill();
  }, 60_000);
});

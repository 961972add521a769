import { execFile } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, test } from "@jest/globals";
import { createClient } from "@libsql/client";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { answer, callsTo, type Calls } from "./calls";
import { newDataFolder, startServer } from "./running";
import { DEMO, DESIGN, served } from "./served";

const { call, send } = served();

const named = (name: string) => ({ ...DESIGN, name });

/** A design with two takes, another in the bin, and a piece on the shelf. */
async function fill({ send: ask, call: get }: Calls): Promise<{ kept: string; binned: string }> {
  const kept = (await answer(ask("POST", "/api/designs", named("Vent: one/two")))).id;
  await ask("POST", `/api/designs/${kept}/takes`, { name: "As it was" }, { "If-Match": '"1"' });
  await ask("PUT", `/api/designs/${kept}`, named("Vent two"), { "If-Match": '"1"' });
  await ask("POST", `/api/designs/${kept}/takes`, { name: "Two" }, { "If-Match": '"2"' });
  const binned = (await answer(ask("POST", "/api/designs", named("Thrown")))).id;
  await get(`/api/designs/${binned}`, { method: "DELETE" });
  await ask("POST", "/api/shelf?kind=motif", named("Leaf"));
  return { kept, binned };
}

async function zipOf({ call: get }: Calls): Promise<Uint8Array<ArrayBuffer>> {
  const response = await get("/api/keep");
  expect(response.headers.get("Content-Type")).toContain("application/zip");
  return new Uint8Array(await response.arrayBuffer());
}

const bring = async ({ call: ask }: Calls, body: Uint8Array<ArrayBuffer>) =>
  ask("/api/keep", { method: "POST", body, headers: { "Content-Type": "application/zip" } });

describe("everything out and in", () => {
  test("goes to another machine with takes, bin and shelf; what is there already is not brought again", async () => {
    const { kept, binned } = await fill({ call, send });
    const zip = await zipOf({ call, send });
    // Each design opens by itself.
    const files = Object.keys(unzipSync(zip));
    expect(files).toEqual(
      expect.arrayContaining([`designs/${kept}/Vent two.petal.json`, "kept.json", "Shelf.petal-shelf.json"]),
    );
    expect(files).toContain(`designs/${kept}/takes/1 As it was.petal.json`);

    const other = await startServer(newDataFolder());
    try {
      const there = callsTo(other);
      // The demo designs are the same everywhere.
      const first = await answer(bring(there, zip));
      expect(first).toEqual({ designs: 2, takes: 2, there: DEMO.length, pieces: 1, refused: [] });
      expect(await answer(there.call(`/api/designs/${kept}`))).toEqual(named("Vent two"));
      expect(JSON.parse(await (await there.call(`/api/designs/${kept}/takes`)).text())).toMatchObject({
        takes: [
          { revision: 2, name: "Two" },
          { revision: 1, name: "As it was" },
        ],
      });
      expect(await answer(there.call(`/api/designs/${kept}/revisions/1`))).toEqual(named("Vent: one/two"));
      expect((await there.call(`/api/designs/${binned}`)).status).toBe(404);
      expect((await answer(there.call("/api/designs?bin=true"))).designs.map(({ id }) => id)).toEqual([binned]);
      expect(await answer(bring(there, zip))).toEqual({
        designs: 0,
        takes: 0,
        there: DEMO.length + 2,
        pieces: 0,
        refused: [],
      });

      // What differs comes beside what is there, which stays as it is.
      await there.send("PUT", `/api/designs/${kept}`, named("Changed there"), { "If-Match": "*" });
      expect(await answer(bring(there, zip))).toMatchObject({ designs: 1, takes: 2 });
      expect(await answer(there.call(`/api/designs/${kept}`))).toEqual(named("Changed there"));
      const { designs } = await answer(there.call("/api/designs?search=Vent two"));
      expect(designs).toHaveLength(1);
      expect(designs[0]?.id).not.toBe(kept);
    } finally {
      await other.kill();
    }
  }, 60_000);

  test("what is none, or is broken, is told; what is right in it comes nevertheless", async () => {
    const own = { call, send };
    expect(
      (await call("/api/keep", { method: "POST", body: "{}", headers: { "Content-Type": "application/json" } })).status,
    ).toBe(415);
    expect((await bring(own, strToU8("no zip at all"))).status).toBe(400);
    expect((await bring(own, zipSync({ "a.txt": strToU8("hello") }))).status).toBe(422);
    expect((await bring(own, zipSync({ "kept.json": strToU8("{") }))).status).toBe(422);
    const entry = (id: string, file: string, takes: object[] = []) => ({
      id,
      file,
      revision: 3,
      changed: 1,
      binned: false,
      takes,
    });
    const list = {
      format: "twin-petal-kept/1",
      designs: [
        entry("right", "r.json", [
          { file: "r.json", revision: 3, changed: 1, name: "A" },
          { file: "gone.json", revision: 2, changed: 1, name: "B" },
          { file: "r.json", revision: 3, changed: 1, name: "Twice" },
          { file: "r.json", revision: 9, changed: 1, name: "Later" },
        ]),
        entry("wrong", "w.json"),
      ],
    };
    const zip = zipSync({
      "kept.json": strToU8(JSON.stringify(list)),
      "r.json": strToU8(JSON.stringify(DESIGN)),
      "w.json": strToU8(JSON.stringify({ ...DESIGN, parts: [{ id: "a", motif: { kind: "hat" } }] })),
      "Shelf.petal-shelf.json": strToU8(JSON.stringify({ format: "twin-petal-shelf/1", pieces: [{ kind: "hat" }] })),
    });
    expect(await answer(bring(own, zip))).toMatchObject({
      designs: 1,
      takes: 2,
      pieces: 0,
      refused: [
        { file: "gone.json" },
        { file: "w.json", errors: [{ path: "parts[0].motif.kind" }] },
        { file: "Shelf.petal-shelf.json", errors: [{ path: "pieces[0].kind" }] },
      ],
    });
    expect((await answer(call("/api/designs/right/revisions"))).revisions.map(({ revision }) => revision)).toEqual([
      9, 3,
    ]);
    const bad = zipSync({
      "kept.json": strToU8(JSON.stringify({ ...list, designs: [{ ...entry("a", "r.json"), id: "../up" }] })),
    });
    expect((await bring(own, bad)).status).toBe(422);
  });

  test("the command keeps all, and copies the database by SQLite's own means, while saves go on", async () => {
    const folder = newDataFolder();
    const server = await startServer(folder);
    const keep = (...args: string[]) =>
      new Promise<{ status: number; stdout: string; stderr: string }>((resolve) => {
        const env = { ...process.env, TWIN_PETAL_DATA: folder };
        execFile(process.execPath, ["server/dist/keep.js", ...args], { env }, (error, stdout, stderr) =>
          resolve({ status: error ? Number(error.code) : 0, stdout, stderr }),
        );
      });
    try {
      const own = callsTo(server);
      const { kept } = await fill(own);
      let saved = 2;
      let isOver = false;
      const saving = (async () => {
        while (!isOver) {
          const put = await own.send("PUT", `/api/designs/${kept}`, named(`Save ${saved + 1}`), { "If-Match": "*" });
          if (put.ok) saved = (await answer(put)).revision;
        }
      })();
      await new Promise((rest) => setTimeout(rest, 200));
      const before = saved;
      const copy = join(folder, "copy.db");
      const done = await keep(copy);
      expect(saved).toBeGreaterThan(before);
      isOver = true;
      await saving;
      expect(done.stderr).toBe("");
      expect(done.status).toBe(0);
      const client = createClient({ url: `file:${copy}` });
      const [check] = (await client.execute("PRAGMA integrity_check")).rows;
      const [row] = (await client.execute({ sql: "select revision from designs where id = ?", args: [kept] })).rows;
      client.close();
      expect(check).toEqual({ integrity_check: "ok" });
      expect(Number(row?.revision)).toBeGreaterThanOrEqual(before);

      const out = join(folder, "all.zip");
      expect((await keep(out)).status).toBe(0);
      const files = unzipSync(readFileSync(out));
      expect(JSON.parse(strFromU8(files["kept.json"] ?? new Uint8Array())).designs).toHaveLength(DEMO.length + 2);
      const back = await keep("--back", out);
      expect(back.stdout).toContain(`${DEMO.length + 2} were there already`);
      writeFileSync(out, "no zip");
      expect(await keep("--back", out)).toMatchObject({ status: 1, stderr: "The body is no zip, or a broken one.\n" });
      expect((await keep("nothing.txt")).status).toBe(1);
    } finally {
      await server.kill();
    }
  }, 60_000);
});

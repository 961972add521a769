import { execFile } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, test } from "@jest/globals";
import { createClient } from "@libsql/client";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { answer, callsTo, type Answer, type Calls } from "./calls";
import { KEPT_FORMAT, keptList } from "../src/keep/keptFile";
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

const bring = async ({ call: ask }: Calls, body: Uint8Array<ArrayBuffer>, query = "") =>
  ask(`/api/keep${query}`, { method: "POST", body, headers: { "Content-Type": "application/zip" } });

/** What is answered where nothing came. */
const NOTHING = { designs: 0, takes: 0, there: 0, pieces: 0, binned: [], differing: [], refused: [] };

interface Row {
  readonly id: string;
  readonly file: string;
  readonly revision: number;
  readonly changed: number;
  readonly binned: boolean;
  readonly takes: readonly object[];
}

const row = (id: string, more: Partial<Record<keyof Row, unknown>> = {}): object => ({
  id,
  file: `${id}.json`,
  revision: 3,
  changed: 1,
  binned: false,
  takes: [],
  ...more,
});

/** A zip of designs by their ids, with what the list tells of each. */
const zipWith = (rows: readonly object[], files: Readonly<Record<string, object>>) =>
  zipSync({
    "kept.json": strToU8(JSON.stringify({ format: "twin-petal-kept/2", designs: rows })),
    ...Object.fromEntries(Object.entries(files).map(([name, file]) => [name, strToU8(JSON.stringify(file))])),
  });

describe("everything out and in", () => {
  test("goes to another machine with takes, bin and shelf; what is there already is not brought again", async () => {
    const { kept, binned } = await fill({ call, send });
    const zip = await zipOf({ call, send });
    // Each design opens by itself.
    const files = Object.keys(unzipSync(zip));
    expect(files).toEqual(
      expect.arrayContaining([
        `designs/${kept}/Vent two.petal.json`,
        "kept.json",
        expect.stringMatching(/^shelf\/\w+\/Leaf\.petal\.json$/),
      ]),
    );
    expect(files).toContain(`designs/${kept}/takes/1 As it was.petal.json`);

    const other = await startServer(newDataFolder());
    try {
      const there = callsTo(other);
      // The demo designs are the same everywhere.
      const first = await answer(bring(there, zip));
      expect(first).toEqual({ ...NOTHING, designs: 2, takes: 2, there: DEMO.length, pieces: 1 });
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
      expect(await answer(bring(there, zip))).toEqual({ ...NOTHING, there: DEMO.length + 2 });
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
      10, 9,
    ]);
    const bad = zipSync({
      "kept.json": strToU8(JSON.stringify({ ...list, designs: [{ ...entry("a", "r.json"), id: "../up" }] })),
    });
    expect((await bring(own, bad)).status).toBe(422);
  });

  test("what is here otherwise is asked for: mine, the file's, or both; the same once more changes nothing", async () => {
    const own = { call, send };
    const takes = [
      { file: "take.json", revision: 1, changed: 1, name: "First" },
      { file: "asked.json", revision: 3, changed: 1, name: "Now" },
    ];
    const zip = zipWith([row("asked", { takes })], { "asked.json": named("Theirs"), "take.json": named("Older") });
    expect(await answer(bring(own, zip))).toEqual({ ...NOTHING, designs: 1, takes: 2 });
    await send("PUT", "/api/designs/asked", named("Mine"), { "If-Match": "*" });
    const present = async () => (await answer(call("/api/designs/asked"))).name;

    const told = await answer(bring(own, zip));
    expect(told).toMatchObject({ ...NOTHING, differing: [{ id: "asked", name: "Mine", file: 1, binned: false }] });
    expect(await answer(bring(own, zip, "?differing=mine"))).toEqual(NOTHING);
    expect(await present()).toBe("Mine");

    expect(await answer(bring(own, zip, "?differing=both"))).toEqual({ ...NOTHING, designs: 1, takes: 2 });
    expect(await answer(bring(own, zip, "?both=asked"))).toEqual({ ...NOTHING, there: 1 });
    expect((await answer(call("/api/designs?search=Theirs"))).designs).toHaveLength(1);
    expect(await present()).toBe("Mine");

    expect(await answer(bring(own, zip, "?differing=both&file=asked"))).toEqual({ ...NOTHING, designs: 1, takes: 2 });
    expect(await present()).toBe("Theirs");
    const saves = (await answer(call("/api/designs/asked/revisions"))).revisions;
    // Brought with two saves, saved once, then the file's on top; takes that are here already do not come twice.
    expect(saves).toMatchObject([
      { revision: 5, take: null },
      { revision: 4, take: null },
      { revision: 3, take: "Now" },
      { revision: 1, take: "First" },
    ]);
    expect(await (await call("/api/designs/asked/revisions/4")).json()).toEqual(named("Mine"));
    expect(await answer(bring(own, zip))).toEqual({ ...NOTHING, there: 1 });
    expect((await bring(own, zip, "?differing=yours")).status).toBe(400);
  });

  test("what lies in the bin here is told, and can be taken out", async () => {
    const own = { call, send };
    const zip = zipWith([row("thrown")], { "thrown.json": named("Thrown away") });
    await bring(own, zip);
    await call("/api/designs/thrown", { method: "DELETE" });
    const binned = [{ id: "thrown", name: "Thrown away" }];
    expect(await answer(bring(own, zip))).toEqual({ ...NOTHING, there: 1, binned });
    expect((await call("/api/designs/thrown/restore", { method: "POST" })).status).toBe(204);
    expect(await answer(bring(own, zip))).toEqual({ ...NOTHING, there: 1 });
  });

  test("every number of the list has its limits", async () => {
    const numbers = [0, -1, 1.5, 1e9, 2 ** 53 - 1, 2 ** 53, 1e17, 1e308];
    const take = { file: "odd.json", revision: 1, changed: 1, name: "A" };
    const wrong = [
      ...numbers.map((revision) => row("odd", { revision })),
      ...[-1, 1.5, 8.65e15, 2 ** 53, 1e17].map((changed) => row("odd", { changed })),
      ...numbers.map((revision) => row("odd", { takes: [{ ...take, revision }] })),
      row("odd", { takes: Array.from({ length: 501 }, (_, k) => ({ ...take, revision: k + 1 })) }),
      row("odd", { binned: 1 }),
    ];
    const isRight = (one: object) => keptList.isValidSync({ format: KEPT_FORMAT, designs: [one] }, { strict: true });
    for (const one of wrong) expect([isRight(one), one]).toEqual([false, one]);
    expect(isRight(row("right", { revision: 999_999_999, changed: 8.64e15, takes: [take] }))).toBe(true);
    const refused = await bring({ call, send }, zipWith([row("odd", { changed: 1e17 })], { "odd.json": named("Odd") }));
    expect([refused.status, (await call("/api/designs/odd")).status]).toEqual([422, 404]);
  });

  test("names are names, whatever they are in a language", async () => {
    const own = { call, send };
    const names = ["constructor", "prototype", "tostring", "hasownproperty"];
    const files = names.map((id): [string, object] => [`${id}.json`, named(id)]);
    const rows = [...names.map((id) => row(id)), row("proto", { file: "__proto__" })];
    const brought = await answer(bring(own, zipWith(rows, Object.fromEntries(files)), "?both=__proto__,constructor"));
    expect(brought).toEqual({
      ...NOTHING,
      designs: names.length,
      refused: [expect.objectContaining({ file: "__proto__" })],
    });
    for (const query of [
      "search=__proto__",
      "search[__proto__]=a",
      "constructor=b",
      "sort=constructor",
      "after=__proto__",
    ]) {
      expect((await call(`/api/designs?${query}`)).status).toBeLessThan(500);
    }
  });

  test("a file of the zip whose bits have turned is refused, and the others come", async () => {
    const zip = zipWith([row("sound"), row("turned")], {
      "sound.json": named("Sound"),
      "turned.json": named("Turned"),
    });
    // Stored as it is, so that the text can be found in the zip.
    const plain = zipSync(
      Object.fromEntries(Object.entries(unzipSync(zip)).map(([name, file]) => [name, [file, { level: 0 }]] as const)),
    );
    const at = Buffer.from(plain).indexOf('"Turned"');
    plain[at + 1] = "X".charCodeAt(0);
    const refused = [{ file: "turned.json", errors: [{ path: "", message: expect.stringContaining("checksum") }] }];
    expect(await answer(bring({ call, send }, plain))).toEqual({ ...NOTHING, designs: 1, refused });
  });

  test("it is told how far it has come; who stops it has what came whole, and brings the rest", async () => {
    const ids = Array.from({ length: 400 }, (_, k) => `many-${String(k).padStart(3, "0")}`);
    const zip = zipWith(
      ids.map((id) => row(id)),
      Object.fromEntries(ids.map((id) => [`${id}.json`, named(id)])),
    );
    const stop = new AbortController();
    const response = await call("/api/keep", {
      method: "POST",
      body: zip,
      headers: { "Content-Type": "application/zip", Accept: "text/event-stream" },
      signal: stop.signal,
    });
    const reader = response.body?.getReader();
    let said = "";
    while (!/"done":[1-9]/.test(said)) said += new TextDecoder().decode((await reader?.read())?.value);
    expect(said).toMatch(/event: design\ndata: \{"done":\d+,"of":400\}/);
    expect((await bring({ call, send }, zip)).status).toBe(503);
    stop.abort();
    const rest = async (): Promise<Answer & typeof NOTHING> => {
      const again = await bring({ call, send }, zip);
      return again.status === 503 ? rest() : JSON.parse(await again.text());
    };
    const { designs, there } = await rest();
    expect(there).toBeGreaterThan(0);
    expect(designs).toBeGreaterThan(0);
    expect(designs + there).toBe(400);
  }, 60_000);

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

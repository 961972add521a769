import { describe, expect, test } from "@jest/globals";
import { answer } from "./calls";
import { newDataFolder, startServer } from "./running";
import { DEMO, DESIGN, served } from "./served";

const { address, call, send } = served();

async function create(design: object = DESIGN): Promise<string> {
  const { id } = await answer(send("POST", "/api/designs", design));
  return id;
}

describe("designs", () => {
  test("an empty database is seeded with the demo designs", async () => {
    const { designs } = await answer(call("/api/designs?sort=name"));
    const demo = DEMO;
    expect(demo.length).toBeGreaterThanOrEqual(9);
    expect(designs.map(({ id }) => id)).toEqual(expect.arrayContaining(demo));
    expect(designs.find(({ id }) => id === "colouring-card-rosette")).toMatchObject({
      revision: 1,
      folds: 16,
      size: { width: 148, height: 210, unit: "mm" },
    });
  });

  test("are created, read back, replaced, and keep their history", async () => {
    const created = await send("POST", "/api/designs", DESIGN);
    expect(created.status).toBe(201);
    expect(created.headers.get("ETag")).toBe('"1"');
    const location = created.headers.get("Location") ?? "";
    const read = await call(location);
    expect(await answer(read)).toEqual(DESIGN);
    const saved = await send(
      "PUT",
      location,
      { ...DESIGN, name: "Vent two" },
      { "If-Match": read.headers.get("ETag") ?? "" },
    );
    expect(saved.status).toBe(200);
    expect(saved.headers.get("ETag")).toBe('"2"');
    expect(await answer(call(location))).toMatchObject({ name: "Vent two" });
    const { revisions } = await answer(call(`${location}/revisions`));
    expect(revisions.map(({ revision }) => revision)).toEqual([2, 1]);
    expect(await answer(call(`${location}/revisions/1`))).toEqual(DESIGN);
    expect((await call(`${location}/revisions/9`)).status).toBe(404);
  });

  test("an unchanged design is not sent twice", async () => {
    const id = await create();
    const again = await call(`/api/designs/${id}`, {
      headers: { "If-None-Match": '"1"', "Cache-Control": "max-age=0" },
    });
    expect(again.status).toBe(304);
  });

  test("a save without If-Match is 428, a stale one 412 with the current revision, and neither changes anything", async () => {
    const id = await create();
    expect((await send("PUT", `/api/designs/${id}`, DESIGN)).status).toBe(428);
    await send("PUT", `/api/designs/${id}`, { ...DESIGN, name: "First" }, { "If-Match": '"1"' });
    const stale = await send("PUT", `/api/designs/${id}`, { ...DESIGN, name: "Second" }, { "If-Match": '"1"' });
    expect(stale.status).toBe(412);
    expect(stale.headers.get("Content-Type")).toContain("application/problem+json");
    expect(await answer(stale)).toMatchObject({ status: 412, revision: 2 });
    expect(await answer(call(`/api/designs/${id}`))).toMatchObject({ name: "First" });
    expect((await send("PUT", `/api/designs/${id}`, DESIGN, { "If-Match": "three" })).status).toBe(400);
  });

  test("a save may build on one of several revisions; weak tags and those of others never match", async () => {
    const id = await create();
    const save = async (tags: string) => (await send("PUT", `/api/designs/${id}`, DESIGN, { "If-Match": tags })).status;
    expect(await save('"7", "1"')).toBe(200);
    expect(await save('W/"2"')).toBe(412);
    expect(await save('"2,3", "two"')).toBe(412);
    expect(await save('"x",,  "2"')).toBe(200);
    expect(await save(" * ")).toBe(200);
    for (const none of ["", ",", "2", '"2" 3', '"2', "*, *"]) expect([none, await save(none)]).toEqual([none, 400]);
  });

  test("a save that builds on an old revision is refused before the design is looked at", async () => {
    const id = await create();
    const faulty = { ...DESIGN, parts: [{ id: "a" }] };
    expect((await send("PUT", `/api/designs/${id}`, faulty, { "If-Match": '"4"' })).status).toBe(412);
    expect((await send("PUT", `/api/designs/${id}`, faulty, { "If-Match": '"1"' })).status).toBe(422);
  });

  test("of ten saves on one revision exactly one is taken", async () => {
    const id = await create();
    const saves = Array.from({ length: 10 }, (_, k) =>
      send("PUT", `/api/designs/${id}`, { ...DESIGN, name: `Save ${k}` }, { "If-Match": '"1"' }),
    );
    const statuses = (await Promise.all(saves)).map(({ status }) => status);
    expect(statuses.filter((status) => status === 200)).toHaveLength(1);
    expect(statuses.filter((status) => status === 412)).toHaveLength(9);
  });

  test("go to the bin and come back", async () => {
    const id = await create({ ...DESIGN, name: "Binned one" });
    const names = async (query: string) => {
      const { designs } = await answer(call(`/api/designs?search=binned&${query}`));
      return designs.map(({ name }) => name);
    };
    expect((await call(`/api/designs/${id}`, { method: "DELETE" })).status).toBe(204);
    expect((await call(`/api/designs/${id}`)).status).toBe(404);
    expect((await send("PUT", `/api/designs/${id}`, DESIGN, { "If-Match": "*" })).status).toBe(404);
    expect(await names("bin=true")).toEqual(["Binned one"]);
    expect(await names("")).toEqual([]);
    expect((await call(`/api/designs/${id}/restore`, { method: "POST" })).status).toBe(204);
    expect((await call(`/api/designs/${id}/restore`, { method: "POST" })).status).toBe(404);
    expect(await names("")).toEqual(["Binned one"]);
  });

  test("are listed page by page, each once, in order", async () => {
    await Promise.all(Array.from({ length: 70 }, (_, k) => create({ ...DESIGN, name: `Paged ${k % 7}` })));
    for (const sort of ["name", "changed"]) {
      const first = await answer(call(`/api/designs?search=paged&sort=${sort}`));
      expect(first.designs).toHaveLength(60);
      const second = await answer(call(`/api/designs?search=paged&sort=${sort}&after=${first.next}`));
      expect(second).toMatchObject({ next: null });
      const all = [...first.designs, ...second.designs];
      expect(new Set(all.map(({ id }) => id)).size).toBe(70);
      const keys = all.map(({ name, changed }) => (sort === "name" ? name : -changed));
      expect(keys).toEqual([...keys].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0)));
    }
    expect((await call("/api/designs?after=nonsense")).status).toBe(400);
    expect((await call("/api/designs?sort=size")).status).toBe(400);
  });

  test("have a picture of their own shape", async () => {
    const response = await call("/api/designs/plaster-fan/picture.png?revision=1");
    expect(response.headers.get("Content-Type")).toBe("image/png");
    const png = Buffer.from(await response.arrayBuffer());
    expect([png.readUInt32BE(16), png.readUInt32BE(20)]).toEqual([480, 320]);
  });
});

describe("bad input", () => {
  test("six faults are answered as six errors at six paths, and nothing is written", async () => {
    const id = await create();
    const faulty = {
      format: "twin-petal/1",
      sheet: { width: -5 },
      numbers: [{ name: "a", value: "a" }],
      parts: [
        { id: "one", motif: { kind: "petal", length: "40 +" }, rules: [{ kind: "turn", count: 2.5 }] },
        { id: "two", motif: { kind: "blob" }, finish: { fill: "red" } },
      ],
    };
    const refused = await send("PUT", `/api/designs/${id}`, faulty, { "If-Match": '"1"' });
    expect(refused.status).toBe(422);
    const { errors, status } = await answer(refused);
    expect(status).toBe(422);
    expect(new Set(errors.map(({ path }) => path)).size).toBe(6);
    expect(await answer(call(`/api/designs/${id}`))).toEqual(DESIGN);
  });

  test("what is no JSON, no design, too large, or nowhere is told apart", async () => {
    expect((await send("POST", "/api/designs", "{nope")).status).toBe(400);
    expect((await send("POST", "/api/designs", { hello: 1 })).status).toBe(422);
    expect((await send("POST", "/api/designs", "null")).status).toBe(422);
    expect(
      (await call("/api/designs", { method: "POST", body: "x", headers: { "Content-Type": "text/plain" } })).status,
    ).toBe(415);
    const large = await send("POST", "/api/designs", { ...DESIGN, notes: "x".repeat(8 * 2 ** 20) });
    expect(large.status).toBe(413);
    expect(await answer(large)).toMatchObject({ detail: "The body is larger than 8 MB." });
    const nowhere = await call("/api/nothing");
    expect(nowhere.status).toBe(404);
    expect(nowhere.headers.get("Content-Type")).toContain("application/problem+json");
  });

  test("more than 200,000 copies or 64 rules are refused before anything is computed", async () => {
    const many = (rules: object[]) => ({
      format: "twin-petal/1",
      parts: [{ id: "a", motif: { kind: "disc" }, rules }],
    });
    const copies = await send(
      "POST",
      "/api/make?as=svg",
      many([
        { kind: "turn", count: 200_000 },
        { kind: "turn", count: 200_000 },
      ]),
    );
    expect(copies.status).toBe(422);
    const rules = await send(
      "POST",
      "/api/make?as=svg",
      many(Array.from({ length: 65 }, () => ({ kind: "turn", count: 1 }))),
    );
    expect(await answer(rules)).toMatchObject({
      errors: [{ path: "parts[0].rules", message: "must have at most 64 entries" }],
    });
  });

  test("another site's page may not change anything", async () => {
    const refused = await send("POST", "/api/designs", DESIGN, { Origin: "http://elsewhere.example" });
    expect(refused.status).toBe(403);
    expect((await send("POST", "/api/designs", DESIGN, { Origin: address() })).status).toBe(201);
  });
});

describe("making", () => {
  test("an SVG and a PNG come back with their type and name", async () => {
    const svg = await send("POST", "/api/make?as=svg", DESIGN);
    expect(svg.headers.get("Content-Type")).toContain("image/svg+xml");
    expect(svg.headers.get("Content-Disposition")).toContain("Vent.svg");
    expect((await svg.text()).match(/<use /g)).toHaveLength(12);
    const png = Buffer.from(await (await send("POST", "/api/make?as=png&dpi=25.4", DESIGN)).arrayBuffer());
    expect(png.readUInt32BE(16)).toBe(200);
  });

  test("an unknown format, a useless resolution and a picture too large are refused in words", async () => {
    expect((await send("POST", "/api/make?as=gif", DESIGN)).status).toBe(400);
    expect((await send("POST", "/api/make?as=png&dpi=none", DESIGN)).status).toBe(400);
    const huge = await send("POST", "/api/make?as=png&dpi=100000", DESIGN);
    expect(huge.status).toBe(422);
    expect((await answer(huge)).detail).toMatch(/use \d+ dpi$/);
  });
});

describe("the server itself", () => {
  test("is well and sends safe headers", async () => {
    const response = await call("/api/health");
    expect(await answer(response)).toMatchObject({ ok: true });
    expect(response.headers.get("X-Content-Type-Options")).toBe("nosniff");
    expect(response.headers.get("Content-Security-Policy")).toContain("default-src 'self'");
    expect(response.headers.get("X-Powered-By")).toBeNull();
  });

  test("tells in words when its port is in use or is none", async () => {
    const { port } = new URL(address());
    await expect(startServer(newDataFolder(), { PORT: port })).rejects.toThrow(`Port ${port} is in use`);
    await expect(startServer(newDataFolder(), { PORT: "many" })).rejects.toThrow("PORT is “many”");
  });
});

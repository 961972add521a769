import { describe, expect, test } from "@jest/globals";
import { answer, callsTo } from "./calls";
import { insertDesign, olderDatabase } from "./olderDatabase";
import { emptyDataFolder, startServer } from "./running";
import { DESIGN, served } from "./served";

const { call, send } = served();

async function create(): Promise<string> {
  return (await answer(send("POST", "/api/designs", DESIGN))).id;
}

const named = (name: string) => ({ ...DESIGN, name });
const save = (id: string, name: string, revision: number) =>
  send("PUT", `/api/designs/${id}`, named(name), { "If-Match": `"${revision}"` });
const keep = (id: string, name: unknown, revision: number) =>
  send("POST", `/api/designs/${id}/takes`, { name }, { "If-Match": `"${revision}"` });
const takesOf = async (id: string): Promise<unknown> =>
  JSON.parse(await (await call(`/api/designs/${id}/takes`)).text());

describe("takes", () => {
  test("keep the present state under a name, with its picture; are read, renamed and let go of", async () => {
    const id = await create();
    const kept = await keep(id, "  Twelve petals ", 1);
    expect(kept.status).toBe(201);
    expect(kept.headers.get("Location")).toBe(`/api/designs/${id}/takes/1`);
    await save(id, "Vent two", 1);
    expect((await keep(id, "Two", 2)).status).toBe(201);
    expect(await takesOf(id)).toMatchObject({
      takes: [
        { revision: 2, name: "Two", changed: expect.any(Number) },
        { revision: 1, name: "Twelve petals", picture: `/api/designs/${id}/revisions/1/picture.png` },
      ],
    });
    expect(await answer(call(`/api/designs/${id}/revisions/1`))).toEqual(DESIGN);
    const picture = await call(`/api/designs/${id}/revisions/1/picture.png`);
    expect(picture.headers.get("Content-Type")).toBe("image/png");
    expect(picture.headers.get("Cache-Control")).toContain("immutable");

    expect((await send("PUT", `/api/designs/${id}/takes/1`, { name: "Petals" })).status).toBe(200);
    expect((await call(`/api/designs/${id}/takes/2`, { method: "DELETE" })).status).toBe(204);
    expect(await takesOf(id)).toMatchObject({ takes: [{ revision: 1, name: "Petals" }] });
    // What was let go of is an earlier save again, and can be kept again.
    expect((await send("PUT", `/api/designs/${id}/takes/2`, { name: "Two again" })).status).toBe(200);
    expect(await takesOf(id)).toMatchObject({ takes: [{ revision: 2 }, { revision: 1 }] });
  });

  test("what cannot be kept is told, and nothing is changed", async () => {
    const id = await create();
    expect((await send("POST", `/api/designs/${id}/takes`, { name: "A" })).status).toBe(428);
    const stale = await keep(id, "A", 7);
    expect(stale.status).toBe(412);
    expect(await answer(stale)).toMatchObject({ revision: 1 });
    for (const name of ["", "   ", "x".repeat(121), 3, null]) expect((await keep(id, name, 1)).status).toBe(400);
    expect((await send("PUT", `/api/designs/${id}/takes/9`, { name: "A" })).status).toBe(404);
    expect((await call(`/api/designs/${id}/takes/1`, { method: "DELETE" })).status).toBe(404);
    expect((await call("/api/designs/nothing/takes")).status).toBe(404);
    expect(await takesOf(id)).toEqual({ takes: [] });
    await keep(id, "A", 1);
    const again = await keep(id, "B", 1);
    expect(again.status).toBe(409);
    expect((await answer(again)).detail).toContain("“A”");
  });

  test("the picture of an earlier save does not take the present one's place", async () => {
    const id = await create();
    await save(id, "Two", 1);
    for (const path of ["picture.png", "revisions/1/picture.png", "picture.png"]) {
      expect((await call(`/api/designs/${id}/${path}`)).status).toBe(200);
    }
  });
});

/** A database as the version before takes had pictures wrote it, with saves of the last days. */
async function databaseBeforeTakes(folder: string, now: number): Promise<void> {
  const client = await olderDatabase(folder, 2);
  const hour = 3_600_000;
  // Hours before now, in the order of the revisions.
  const ages = [75, 74, 50, 49, 5.2, 5.1, 3, 2.9, 0.9, 0.8, 0.7, 0.1];
  await insertDesign(client, "old", JSON.stringify(DESIGN), ages.length, now - 0.1 * hour);
  for (const [index, age] of ages.entries()) {
    await client.execute({
      sql: "insert into revisions values ('old', ?, ?, ?, ?)",
      args: [index + 1, now - age * hour, index === 0 ? "The first" : null, JSON.stringify(named(`Save ${index + 1}`))],
    });
  }
  await client.execute({
    sql: "insert into pictures values ('old', ?, ?)",
    args: [ages.length, Buffer.from("a picture")],
  });
  client.close();
}

test("a database of the version before opens with all it holds; earlier saves are thinned out by age, takes never", async () => {
  const folder = emptyDataFolder();
  // Half past an hour of a day, so that no age falls on an edge.
  const now = Date.now();
  await databaseBeforeTakes(folder, now);
  const server = await startServer(folder);
  try {
    const own = callsTo(server);
    const revisionsOf = async () =>
      (await answer(own.call("/api/designs/old/revisions"))).revisions.map(({ revision }) => revision);
    expect(await revisionsOf()).toHaveLength(12);
    expect(await (await own.call("/api/designs/old/picture.png?revision=12")).text()).toBe("a picture");
    const saved = await own.send("PUT", "/api/designs/old", named("Newest"), { "If-Match": '"12"' });
    expect(saved.status).toBe(200);
    const left = await revisionsOf();
    // The present one, all of the last hour, and what was kept under a name.
    expect(left).toEqual(expect.arrayContaining([13, 12, 11, 10, 9, 1]));
    const day = (age: number) => Math.floor((now - age * 3_600_000) / 86_400_000);
    const hour = (age: number) => Math.floor((now - age * 3_600_000) / 3_600_000);
    // Of saves of one hour of the last day, and of one day before it, the last.
    expect(left.includes(7)).toBe(hour(3) !== hour(2.9));
    expect(left.includes(5)).toBe(hour(5.2) !== hour(5.1));
    expect(left.includes(3)).toBe(day(50) !== day(49));
    expect(left).toEqual(expect.arrayContaining([8, 6, 4]));
    expect((await answer(own.call("/api/designs/old/revisions/1"))).status).toBeUndefined();
  } finally {
    await server.kill();
  }
}, 60_000);

import { describe, expect, test } from "@jest/globals";
import { answer, callsTo } from "./calls";
import { insertDesign, olderDatabase } from "./olderDatabase";
import { emptyDataFolder, startServer } from "./running";
import { DESIGN, served } from "./served";

const { call, send } = served();

const PALETTE = { format: "twin-petal/1", name: "Tiles", palette: [{ name: "brine", color: "#1D6E8C" }] };

async function put(kind: string, design: unknown = DESIGN): Promise<string> {
  return (await answer(send("POST", `/api/shelf?kind=${kind}`, design))).id;
}

const listed = async (): Promise<{ pieces: { id: string; kind: string; name: string; revision: number }[] }> =>
  JSON.parse(await (await call("/api/shelf")).text());

describe("the shelf", () => {
  test("holds motifs, rules and palettes; they are read, renamed, taken off and brought back", async () => {
    const made = await send("POST", "/api/shelf?kind=motif", DESIGN);
    expect(made.status).toBe(201);
    const { id } = await answer(made);
    expect(made.headers.get("Location")).toBe(`/api/shelf/${id}`);
    await put("rules");
    await put("palette", PALETTE);
    expect((await listed()).pieces.map(({ kind, name }) => [kind, name]).sort()).toEqual([
      ["motif", "Vent"],
      ["palette", "Tiles"],
      ["rules", "Vent"],
    ]);
    const got = await call(`/api/shelf/${id}`);
    expect(got.headers.get("ETag")).toBe('"1"');
    expect(await answer(got)).toEqual(DESIGN);

    const renamed = await send("PUT", `/api/shelf/${id}`, { ...DESIGN, name: "Leaf" }, { "If-Match": '"1"' });
    expect(await answer(renamed)).toEqual({ id, revision: 2 });
    // What was changed last is first.
    expect((await listed()).pieces[0]).toMatchObject({ id, name: "Leaf", revision: 2 });

    expect((await call(`/api/shelf/${id}`, { method: "DELETE" })).status).toBe(204);
    expect((await call(`/api/shelf/${id}`)).status).toBe(404);
    expect((await listed()).pieces).toHaveLength(2);
    expect((await send("POST", `/api/shelf/${id}/restore`, {})).status).toBe(204);
    expect(await answer(call(`/api/shelf/${id}`))).toMatchObject({ name: "Leaf" });
  });

  test("what cannot be put there is told at its path, and nothing is changed", async () => {
    const before = await listed();
    const trouble = async (kind: string, design: unknown) =>
      (await answer(send("POST", `/api/shelf?kind=${kind}`, design))).errors;
    expect((await send("POST", "/api/shelf", DESIGN)).status).toBe(400);
    expect((await send("POST", "/api/shelf?kind=hat", DESIGN)).status).toBe(400);
    expect((await send("POST", "/api/shelf?kind=motif", "{")).status).toBe(400);
    expect((await trouble("motif", PALETTE))[0]?.path).toBe("parts");
    expect((await trouble("palette", DESIGN))[0]?.path).toBe("palette");
    expect((await trouble("rules", { ...DESIGN, parts: [{ id: "a", motif: { kind: "petal" } }] }))[0]?.path).toBe(
      "parts[0].rules",
    );
    expect((await trouble("motif", { ...DESIGN, parts: [{ id: "a", motif: { kind: "hat" } }] }))[0]?.path).toBe(
      "parts[0].motif.kind",
    );
    expect(await listed()).toEqual(before);
  });

  test("a change that builds on what is no longer so is refused, with what it is now", async () => {
    const id = await put("motif");
    expect((await send("PUT", `/api/shelf/${id}`, DESIGN)).status).toBe(428);
    expect((await send("PUT", `/api/shelf/${id}`, DESIGN, { "If-Match": '"1"' })).status).toBe(200);
    const stale = await send("PUT", `/api/shelf/${id}`, { ...DESIGN, name: "Lost" }, { "If-Match": '"1"' });
    expect(stale.status).toBe(412);
    expect(await answer(stale)).toMatchObject({ revision: 2 });
    expect((await send("PUT", "/api/shelf/nothing", DESIGN, { "If-Match": "*" })).status).toBe(404);
    expect((await send("POST", `/api/shelf/${id}/restore`, {})).status).toBe(404);
    // A stack of rules stays one.
    const rules = await put("rules");
    expect((await send("PUT", `/api/shelf/${rules}`, PALETTE, { "If-Match": "*" })).status).toBe(422);
  });
});

test("a database of the version before the shelf opens with all its designs, and has an empty one", async () => {
  const folder = emptyDataFolder();
  const client = await olderDatabase(folder, 3);
  const ids = Array.from({ length: 12 }, (_, index) => `old-${index}`);
  for (const id of ids) await insertDesign(client, id, JSON.stringify(DESIGN), 4, 1_700_000_000_000);
  client.close();
  const server = await startServer(folder);
  try {
    const own = callsTo(server);
    for (const id of ids) expect(await answer(own.call(`/api/designs/${id}`))).toEqual(DESIGN);
    expect(await answer(own.call("/api/shelf"))).toEqual({ pieces: [] });
    expect((await own.send("POST", "/api/shelf?kind=motif", DESIGN)).status).toBe(201);
  } finally {
    await server.kill();
  }
}, 60_000);

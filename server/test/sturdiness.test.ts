import { readFileSync } from "node:fs";
import { request } from "node:http";
import { hostname } from "node:os";
import { describe, expect, test } from "@jest/globals";
import { answer } from "./calls";
import { DEMO, DESIGN, served } from "./served";

const { address, call, send } = served();

describe("what a neighbour may not do", () => {
  const raw = (headers: Record<string, string>, path = "/api/designs", method = "GET") =>
    new Promise<number>((resolve, reject) => {
      const { hostname, port } = new URL(address());
      const sent = request({ hostname, port, path, method, headers }, (response) => {
        response.resume();
        resolve(response.statusCode ?? 0);
      });
      sent.on("error", reject);
      sent.end();
    });

  test("a name that only points here is refused, whatever is asked; this machine's own names are not", async () => {
    const at = new URL(address()).port;
    for (const name of ["localhost", "127.0.0.1", "[::1]", hostname()]) {
      expect(await raw({ Host: `${name}:${at}` })).toBe(200);
    }
    for (const name of ["elsewhere.example", "127.0.0.1.elsewhere.example", "localhost.example", "a b"]) {
      expect(await raw({ Host: name })).not.toBe(200);
      expect(await raw({ Host: name }, "/api/designs/pool-deck-spiral", "DELETE")).toBe(421);
    }
  });

  test("a change without an origin that a browser calls foreign is refused", async () => {
    const at = new URL(address()).port;
    const remove = (site: string) =>
      raw({ Host: `127.0.0.1:${at}`, "Sec-Fetch-Site": site }, "/api/designs/none-such", "DELETE");
    expect(await remove("cross-site")).toBe(403);
    for (const site of ["same-origin", "none"]) expect(await remove(site)).toBe(404);
  });
});

describe("requests that cannot be answered", () => {
  test.each([
    ["/assets/not-there.js", 404],
    ["/not-there.png", 404],
    ["/designs/some-id", 200],
    ["/%E0%A4%A", 400],
    ["/api/designs/%zz", 400],
    ["/api/designs?after=bm9uZQ", 400],
    [`/api/designs?after=${Buffer.from('["soon","a"]').toString("base64url")}`, 400],
    [`/api/designs?sort=name&after=${Buffer.from('["soon","a"]').toString("base64url")}`, 200],
    [`/api/designs?after=${Buffer.from('[3,{"a":1}]').toString("base64url")}`, 400],
  ])("%s is %i", async (path, status) => {
    const answered = await call(path);
    expect(answered.status).toBe(status);
    if (status >= 400) expect(answered.headers.get("Content-Type")).toContain("application/problem+json");
  });
});

test("health tells of the database, the processes and the room there is", async () => {
  const health = await call("/api/health");
  expect(health.status).toBe(200);
  expect(JSON.parse(await health.text())).toMatchObject({
    ok: true,
    database: { ok: true, designs: expect.any(Number) },
    pool: { reading: { busy: 0, waiting: 0 }, making: { busy: expect.any(Number), waiting: 0 } },
    disk: { free: expect.any(Number) },
  });
});

test("what is searched for stands for itself, whatever its letters", async () => {
  const names = ["50% grey_ink", "50 grey ink", "a\\b!", "ab"];
  for (const name of names) await send("POST", "/api/designs", { ...DESIGN, name: `Odd ${name}` });
  const found = async (search: string) => {
    const { designs } = await answer(call(`/api/designs?sort=name&search=${encodeURIComponent(search)}`));
    return designs.map(({ name }) => name);
  };
  expect(await found("Odd 50%")).toEqual(["Odd 50% grey_ink"]);
  expect(await found("y_i")).toEqual(["Odd 50% grey_ink"]);
  expect(await found("a\\b!")).toEqual(["Odd a\\b!"]);
  expect(await found("%")).toEqual(["Odd 50% grey_ink"]);
});

describe("files", () => {
  test("what should be known of one comes along in its Notes", async () => {
    const grained = { ...DESIGN, parts: [{ ...DESIGN.parts[0], finish: { grain: {} } }] };
    const made = await send("POST", "/api/make?as=svg", grained);
    expect(decodeURIComponent(made.headers.get("Notes") ?? "")).toContain("grain at 200 dots an inch");
    expect((await send("POST", "/api/make?as=svg", DESIGN)).headers.get("Notes")).toBeNull();
    expect(await (await send("POST", "/api/make?as=svg&tolerance=0.1", DESIGN)).text()).not.toMatch(/d="[^"]*C/);
    expect((await send("POST", "/api/make?as=svg&tolerance=none", DESIGN)).status).toBe(400);
  });

  test("what turns out not to be computable is 422 at its path", async () => {
    const rules = [{ kind: "turn" }, { kind: "vary", size: "1 / i" }];
    const made = await send("POST", "/api/make?as=svg", { ...DESIGN, parts: [{ ...DESIGN.parts[0], rules }] });
    expect(made.status).toBe(422);
    expect((await answer(made)).errors).toEqual([
      { path: "parts[0].rules[1].size", message: expect.stringContaining("copy 1") },
    ]);
  });
});

describe("while it works", () => {
  test("it answers: a design of 200,000 varied copies is saved and made, and health is told in between", async () => {
    const heavy = {
      ...DESIGN,
      parts: [
        {
          id: "a",
          motif: { kind: "petal" },
          rules: [
            { kind: "grid", columns: 400, rows: 500, pitch: 1 },
            { kind: "vary", turn: "360 * t", size: "0.5 + 0.5 * sin(x)", moveX: "y / 9" },
          ],
        },
      ],
    };
    let busy = true;
    const work = Promise.all([
      send("POST", "/api/designs", heavy),
      send("POST", "/api/make?as=scene.json", heavy),
    ]).finally(() => (busy = false));
    const waits: number[] = [];
    while (busy) {
      const asked = performance.now();
      await (await call("/api/health")).text();
      waits.push(performance.now() - asked);
      await new Promise((rest) => setTimeout(rest, 5));
    }
    const [saved, made] = await work;
    expect([saved.status, made.status]).toEqual([201, 200]);
    waits.sort((a, b) => a - b);
    // Were it computed where requests are answered, one answer would take as long as the work.
    expect(waits.length).toBeGreaterThan(20);
    expect(waits[Math.floor(waits.length / 2)]).toBeLessThan(100);
  }, 60_000);

  test("the pictures of the seeded designs are those that ship beside them", async () => {
    for (const id of DEMO) {
      const picture = await call(`/api/designs/${id}/picture.png?revision=1`);
      expect(Buffer.from(await picture.arrayBuffer()).equals(readFileSync(`demo/pictures/${id}.png`))).toBe(true);
    }
  });
});

describe("requests beside each other", () => {
  const discs = (columns: number, rows: number, join: object) => ({
    ...DESIGN,
    parts: [
      {
        id: "a",
        motif: { kind: "disc", radius: 4 },
        rules: [{ kind: "grid", columns, rows, pitch: { x: 1.5, y: 1.5 } }],
        join,
      },
    ],
  });

  test("a small file does not wait behind heavy ones, and health is told at once", async () => {
    const heavy = [0, 1, 2, 3].map((k) => send("POST", "/api/make?as=svg", discs(60, 45 + k, { mode: "merge" })));
    let done = 0;
    const counted = heavy.map((one) =>
      one.then((response) => {
        done += 1;
        return response;
      }),
    );
    await new Promise((resolve) => setTimeout(resolve, 300));
    const began = done;
    expect((await call("/api/health")).status).toBe(200);
    expect((await send("POST", "/api/make?as=svg", DESIGN)).status).toBe(200);
    expect(done - began).toBeLessThan(heavy.length);
    expect((await Promise.all(counted)).map(({ status }) => status)).toEqual([200, 200, 200, 200]);
  });

  test("a design that would take too long is refused at the field that makes it so much, and the next one is made", async () => {
    const refused = await send("POST", "/api/make?as=svg", discs(200, 100, { mode: "evenOdd" }));
    expect(refused.status).toBe(422);
    expect((await answer(refused)).errors).toEqual([
      {
        path: "parts[0].rules[0].columns",
        message: expect.stringMatching(/takes about \d+ (seconds|minutes) or more/),
      },
    ]);
    expect((await send("POST", "/api/make?as=svg", DESIGN)).status).toBe(200);
  });
});

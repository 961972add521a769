import { spawn } from "node:child_process";
import { readFileSync, rmSync, statfsSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { answer, callsTo, type Calls } from "../../server/test/calls";
import { emptyDataFolder } from "../../server/test/running";
import type { Reported } from "../reported";

/** Bytes of the disk: what ships, and a little more. */
const SIZE = "12m";
/** How long is waited for a server to be there, milliseconds. */
const PATIENCE = 20_000;

const petal = (k: number) => ({ id: `p${k}`, motif: { kind: "petal" }, rules: [{ kind: "turn", count: 12 }] });
const small = { format: "twin-petal/1", name: "Small", parts: [petal(0)] };
const large = { format: "twin-petal/1", name: "Large", parts: Array.from({ length: 200 }, (_, k) => petal(k)) };
const plate = {
  format: "twin-petal/1",
  parts: [{ id: "a", motif: { kind: "disc", radius: 20 }, solid: { depth: 4 } }],
};

/** A server on a small disk that is filled over and over, killed and started on it: it tells so, reads, and goes on once there is room. */
export async function disk(many = 5): Promise<Reported[]> {
  const folder = emptyDataFolder();
  const port = await freePort();
  // The disk is the server's own: nothing else sees it, and it goes with it.
  const script = `mount -t tmpfs -o size=${SIZE} none ${folder} && cp -r server/dist/seeded/. ${folder} && while true; do ${process.execPath} server/dist/main.js; sleep 0.1; done`;
  const shell = spawn("unshare", ["-Urm", "sh", "-c", script], {
    env: { ...process.env, PORT: String(port), TWIN_PETAL_DATA: folder },
    stdio: "ignore",
  });
  const calls = callsTo({ address: `http://127.0.0.1:${port}` });
  const faults: string[] = [];
  try {
    for (let round = 0; round < many; round++) {
      if (!(await isThere(calls))) return [report(round, ["it does not start; is there no “unshare” here?"])];
      faults.push(...(await filled(calls, shell.pid ?? 0, folder)).map((fault) => `round ${round}: ${fault}`));
    }
  } finally {
    for (const pid of childrenOf(shell.pid ?? 0)) process.kill(pid, "SIGKILL");
    shell.kill("SIGKILL");
  }
  return [report(many, faults)];
}

const report = (rounds: number, faults: readonly string[]): Reported => ({
  what: "a full disk",
  cells: [`${rounds} rounds`, "", "", String(faults.length)],
  faults,
});

async function filled(calls: Calls, shell: number, folder: string): Promise<string[]> {
  const { call, send } = calls;
  const faults: string[] = [];
  const expectStatus = async (what: string, asked: Promise<Response>, ...right: number[]) => {
    const { status } = await asked.catch(() => ({ status: 0 }));
    if (!right.includes(status)) faults.push(`${what}: status ${status}`);
  };
  const { id } = await answer(send("POST", "/api/designs", small));
  const mesh = await (await send("POST", "/api/make?as=stl", plate)).arrayBuffer();
  const job = await answer(call("/api/jobs?device=solid&pace=1", { method: "POST", body: mesh }));
  const [server = 0] = childrenOf(shell);
  const ballast = `/proc/${server}/root${folder}/ballast`;
  fill(ballast);
  const save = () => send("PUT", `/api/designs/${id}`, large, { "If-Match": "*" });
  // What is left within the database is used up.
  let isFull = false;
  for (let saves = 0; saves < 200 && !isFull; saves++) isFull = (await save()).status === 507;
  if (!isFull) faults.push("it is never told that the disk is full");
  await expectStatus("a save", save(), 507);
  await expectStatus("a new design", send("POST", "/api/designs", large), 507);
  await expectStatus(
    "a piece",
    send("POST", "/api/shelf?kind=motif", { ...large, parts: large.parts.slice(0, 1) }),
    201,
    507,
  );
  await expectStatus("the bin", call(`/api/designs/${id}`, { method: "DELETE" }), 204, 507);
  await expectStatus("the wall", call("/api/designs"), 200);
  await expectStatus("a picture", call("/api/designs/fountain/picture.png"), 200);
  await expectStatus("keeping everything", call("/api/keep"), 200);
  await expectStatus("stopping a job", call(`/api/jobs/${job.id}/stop`, { method: "POST" }), 200);
  await expectStatus("the job", call(`/api/jobs/${job.id}`), 200);
  if (childrenOf(shell)[0] !== server) faults.push("the server ended");
  process.kill(server, "SIGKILL");
  await new Promise((rest) => setTimeout(rest, 500));
  if (!(await isThere(calls))) return [...faults, "it does not start on a full disk"];
  await expectStatus("the wall on a full disk", call("/api/designs"), 200);
  const [again = 0] = childrenOf(shell);
  rmSync(`/proc/${again}/root${folder}/ballast`, { force: true });
  await expectStatus("a save once there is room", send("POST", "/api/designs", small), 201);
  if (childrenOf(shell)[0] !== again) faults.push("the server ended once more");
  return faults;
}

/** Takes up all the room there is. */
function fill(path: string): void {
  try {
    const { bavail, bsize } = statfsSync(path.replace(/\/ballast$/, ""));
    writeFileSync(path, Buffer.alloc(bavail * bsize));
  } catch {
    // It is as full as it can be.
  }
}

function childrenOf(pid: number): number[] {
  try {
    return readFileSync(`/proc/${pid}/task/${pid}/children`, "utf8").split(" ").filter(Boolean).map(Number);
  } catch {
    return [];
  }
}

async function isThere({ call }: Calls): Promise<boolean> {
  for (let waited = 0; waited < PATIENCE; waited += 100) {
    const response = await call("/api/designs").catch(() => null);
    if (response?.status === 200) return true;
    await new Promise((rest) => setTimeout(rest, 100));
  }
  return false;
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, "127.0.0.1", () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : 0));
    });
  });
}

import { resolve } from "node:path";
import { afterAll, describe, expect, test } from "@jest/globals";
import { ProcessPool, UndoneTask } from "../src/work/processPool";

interface Task {
  readonly does: "answer" | "throw" | "end" | "loop" | "grow";
  readonly value?: unknown;
}

const pool = new ProcessPool<Task, { value: unknown; pid: number }>(resolve("server/test/fixtures/oddWork.mjs"), {
  most: 2,
  ready: 1,
  seconds: 2,
  megabytes: 400,
  queue: 6,
});
afterAll(() => pool.close());

const whyOf = (task: Task, signal?: AbortSignal): Promise<unknown> =>
  pool.run(task, signal).then(
    () => null,
    (error: unknown) => (error instanceof UndoneTask ? error.why : error),
  );

describe("work in processes of their own", () => {
  test("is answered, bytes as bytes; what it throws is told", async () => {
    expect(await pool.run({ does: "answer", value: Uint8Array.of(1, 2, 3) })).toMatchObject({
      value: Uint8Array.of(1, 2, 3),
    });
    expect(await whyOf({ does: "throw", value: "no such thing" })).toMatchObject({
      message: expect.stringContaining("no such thing"),
    });
  });

  test("that throws is not followed by another in its process", async () => {
    const { pid } = await pool.run({ does: "answer" });
    expect((await pool.run({ does: "answer" })).pid).toBe(pid);
    await whyOf({ does: "throw", value: "in disorder" });
    expect((await pool.run({ does: "answer" })).pid).not.toBe(pid);
  });

  test("that ends, grows or goes on without end takes nothing along, and the next is done", async () => {
    for (const [does, why] of [
      ["end", "ended"],
      ["grow", "memory"],
      ["loop", "time"],
    ] as const) {
      const beside = pool.run({ does: "answer", value: does });
      expect(await whyOf({ does })).toBe(why);
      expect(await beside).toMatchObject({ value: does });
      expect(await pool.run({ does: "answer", value: 7 })).toMatchObject({ value: 7 });
    }
  }, 30_000);

  test("that nobody waits for any more is stopped, or never begun; time runs from its beginning", async () => {
    const gone = new AbortController();
    const looping = [whyOf({ does: "loop" }, gone.signal), whyOf({ does: "loop" }, gone.signal)];
    // Both processes are taken: these wait, and their own time has not begun.
    const waiting = whyOf({ does: "loop" }, gone.signal);
    const small = pool.run({ does: "answer", value: "small" });
    setTimeout(() => gone.abort(), 700);
    expect(await Promise.all([...looping, waiting])).toEqual(["stopped", "stopped", "stopped"]);
    expect(await small).toMatchObject({ value: "small" });
  }, 30_000);

  test("more than may wait is refused at once", async () => {
    const gone = new AbortController();
    const all = Array.from({ length: 12 }, () => whyOf({ does: "loop" }, gone.signal));
    gone.abort();
    const whys = await Promise.all(all);
    expect(whys.filter((why) => why === "full").length).toBeGreaterThan(2);
    expect(await pool.run({ does: "answer", value: "still here" })).toMatchObject({ value: "still here" });
  }, 30_000);
});

test("processes that end because they are idle are given nothing to do any more", async () => {
  const hasty = new ProcessPool<Task, { value: unknown; pid: number }>(resolve("server/test/fixtures/oddWork.mjs"), {
    ...{ most: 2, ready: 0, seconds: 5, megabytes: 400, queue: 6 },
    idle: 15,
  });
  const pids = new Set<number>();
  for (let round = 0; round < 12; round++) {
    // Each comes about when the one before is let go of.
    await new Promise((rest) => setTimeout(rest, 10 + round));
    pids.add((await hasty.run({ does: "answer", value: round })).pid);
  }
  expect(pids.size).toBeGreaterThan(1);
  await hasty.close();
}, 30_000);

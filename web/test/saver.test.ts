import { afterEach, beforeEach, describe, expect, test } from "@jest/globals";
import { install, type Clock } from "@sinonjs/fake-timers";
import { toFile } from "@twin-petal/core";
import { ApiError } from "@/api/http";
import { createDeskStore, type SaveState } from "@/store/deskStore";
import { beginHistory } from "@/store/history";
import { Saver } from "@/store/saver";
import { designOf } from "./namedDesign";

let clock: Clock;
beforeEach(() => void (clock = install({ toFake: ["setTimeout", "clearTimeout", "Date"] })));
afterEach(() => clock.uninstall());

/** A desk with a saver, over a server and a disk that do as they are told. */
function desk(saveState: SaveState = { kind: "saved" }) {
  const store = createDeskStore("id", beginHistory(designOf("begun")), 1, saveState);
  const sent: { name: string; revision: number; last: boolean }[] = [];
  const keeps: { name: string; saved: boolean }[] = [];
  const server = { answer: (): Promise<number> => Promise.resolve(sent.length + 1) };
  const disk = { isFull: false };
  const saver = new Saver(store, {
    send(_id, file, revision, last) {
      sent.push({ name: String(Reflect.get(Object(file), "name")), revision, last });
      return server.answer();
    },
    keep(_id, { history, saved }) {
      if (!disk.isFull) keeps.push({ name: history.design.name, saved });
      return Promise.resolve(!disk.isFull);
    },
    fetch: () => Promise.resolve({ file: toFile(designOf("somebody else's")), revision: 7 }),
  });
  const rename = (name: string) => store.getState().edit({ label: name, apply: (draft) => void (draft.name = name) });
  const after = (milliseconds: number) => clock.tickAsync(milliseconds);
  return { store, saver, sent, keeps, server, disk, rename, after, state: () => store.getState().saveState };
}

/** A promise that is kept from outside. */
function promised<T>() {
  const held: { keep: (value: T) => void } = { keep: () => undefined };
  const promise = new Promise<T>((keep) => (held.keep = keep));
  return { promise, keep: (value: T) => held.keep(value) };
}

const away = () => Promise.reject(new ApiError(0, "The server cannot be reached."));

describe("a desk that saves itself", () => {
  test("a change is saved once it has rested, several as one, on the revision before", async () => {
    const { rename, after, sent, state, store, keeps } = desk();
    rename("one");
    expect(state().kind).toBe("changed");
    await after(300);
    rename("two");
    await after(300);
    expect(sent).toEqual([]);
    await after(300);
    expect(sent).toEqual([{ name: "two", revision: 1, last: false }]);
    expect([state().kind, store.getState().revision]).toEqual(["saved", 2]);
    expect(keeps.at(-1)).toEqual({ name: "two", saved: true });
  });

  test("a change is kept as it is made, and an unbroken pull within a second; it is saved within five", async () => {
    const { rename, after, keeps, sent } = desk();
    rename("first");
    expect(keeps).toEqual([{ name: "first", saved: false }]);
    for (let moves = 1; moves <= 300; moves++) {
      await after(50);
      rename(`pull ${moves}`);
      const kept = Number(/\d+/.exec(keeps.at(-1)?.name ?? "")?.[0] ?? 0);
      expect(moves - kept).toBeLessThan(1_000 / 50);
    }
    expect(sent.length).toBeGreaterThanOrEqual(2);
    expect(sent.length).toBeLessThanOrEqual(4);
  });

  test("undone before it rested, nothing is sent", async () => {
    const { rename, after, sent, state, store } = desk();
    rename("one");
    store.getState().undo();
    expect(state().kind).toBe("saved");
    await after(5_000);
    expect(sent).toEqual([]);
  });

  test("server away: the change is kept and said to be, tried again, and saved when the server is back", async () => {
    const { rename, after, sent, state, server, keeps } = desk();
    server.answer = away;
    rename("one");
    await after(600);
    expect(state()).toEqual({ kind: "failed", reason: "The server cannot be reached.", path: null, kept: true });
    expect(keeps.at(-1)).toEqual({ name: "one", saved: false });
    await after(4_100);
    expect(sent).toHaveLength(2);
    server.answer = () => Promise.resolve(7);
    await after(4_100);
    expect(state()).toEqual({ kind: "saved" });
    expect(keeps.at(-1)).toEqual({ name: "one", saved: true });
    await after(20_000);
    expect(sent).toHaveLength(3);
  });

  test("server slow: what changes meanwhile is saved after it, on its revision, one at a time", async () => {
    const { rename, after, sent, state, server, saver } = desk();
    const first = promised<number>();
    server.answer = () => first.promise;
    rename("one");
    await after(600);
    rename("two");
    saver.saveNow();
    await after(3_000);
    expect(sent).toHaveLength(1);
    expect(state().kind).toBe("saving");
    server.answer = () => Promise.resolve(3);
    first.keep(2);
    await after(0);
    expect(state().kind).toBe("changed");
    await after(600);
    expect(sent.map(({ name, revision }) => [name, revision])).toEqual([
      ["one", 1],
      ["two", 2],
    ]);
    expect(state().kind).toBe("saved");
  });

  test("stale: nothing more is sent until a person has chosen; then theirs is sent, or the other's stands", async () => {
    const stale = () => Promise.reject(new ApiError(412, "has changed since", { revision: 5 }));
    for (const keepsMine of [true, false]) {
      const { rename, after, sent, state, server, store } = desk();
      server.answer = stale;
      rename("mine");
      await after(600);
      expect(state()).toEqual({ kind: "conflict", revision: 5 });
      rename("mine too");
      await after(9_000);
      expect(sent).toHaveLength(1);
      server.answer = () => Promise.resolve(6);
      const { history, restart } = store.getState();
      if (keepsMine) restart(history, 5, { kind: "changed" });
      else restart(beginHistory(designOf("theirs")), 5, { kind: "saved" });
      await after(600);
      expect(sent.slice(1)).toEqual(keepsMine ? [{ name: "mine too", revision: 5, last: false }] : []);
      expect(state().kind).toBe("saved");
    }
  });

  test("binned elsewhere: told, and saved once it has been brought back", async () => {
    const { rename, after, sent, state, server, keeps } = desk();
    server.answer = () => Promise.reject(new ApiError(404, "There is no such design; it may be in the bin."));
    rename("one");
    await after(1_000);
    expect(state()).toMatchObject({ kind: "failed", kept: true, reason: expect.stringContaining("bin") });
    expect(keeps.at(-1)).toEqual({ name: "one", saved: false });
    server.answer = () => Promise.resolve(5);
    await after(20_000);
    expect(sent).toHaveLength(2);
    expect(state()).toEqual({ kind: "saved" });
  });

  test("refused: not sent again until it changes, and the first reason is told", async () => {
    const { rename, after, sent, state, server } = desk();
    const errors = [{ path: "parts[0].rules", message: "are too many" }];
    server.answer = () => Promise.reject(new ApiError(422, "The design has 1 fault.", { errors }));
    rename("one");
    await after(20_000);
    expect(sent).toHaveLength(1);
    expect(state()).toMatchObject({ kind: "failed", path: "parts[0].rules", reason: "are too many" });
    server.answer = () => Promise.reject(new ApiError(413, "The body is larger than 8 MB."));
    rename("two");
    await after(20_000);
    expect(sent).toHaveLength(2);
    expect(state()).toMatchObject({ kind: "failed", reason: expect.stringContaining("8 MB") });
  });

  test("a full disk is not called kept", async () => {
    const { rename, after, state, server, disk } = desk();
    disk.isFull = true;
    server.answer = away;
    rename("one");
    await after(600);
    expect(state()).toMatchObject({ kind: "failed", kept: false });
    disk.isFull = false;
    await after(4_100);
    expect(state()).toMatchObject({ kind: "failed", kept: true });
  });

  test("leaving keeps and sends at once, and ends it", async () => {
    const { rename, after, sent, keeps, saver } = desk();
    rename("one");
    const stopped = saver.stop();
    await after(0);
    await stopped;
    expect(sent).toEqual([{ name: "one", revision: 1, last: true }]);
    expect(keeps[0]).toEqual({ name: "one", saved: false });
    rename("two");
    await after(9_000);
    expect(sent).toHaveLength(1);
  });

  test("a change the browser kept from before is sent as the desk opens", async () => {
    const { after, sent, state } = desk({ kind: "changed" });
    await after(1);
    expect(sent).toEqual([{ name: "begun", revision: 1, last: false }]);
    expect(state().kind).toBe("saved");
  });
});

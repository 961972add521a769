import { afterEach, beforeEach, expect, test } from "@jest/globals";
import { install, type Clock } from "@sinonjs/fake-timers";
import fc from "fast-check";
import { toFile } from "@twin-petal/core";
import { ApiError } from "@/api/http";
import { loadDesk } from "@/desk/loadDesk";
import type { DeskStore } from "@/store/deskStore";
import type { Kept } from "@/store/keep";
import { leave } from "@/store/leaving";
import { Saver } from "@/store/saver";
import { designOf } from "./namedDesign";
import { members } from "../../core/test/randomMembers";

let clock: Clock;
beforeEach(() => void (clock = install({ toFake: ["setTimeout", "clearTimeout", "Date"] })));
afterEach(() => clock.uninstall());

const rest = (milliseconds: number) => new Promise<void>((over) => setTimeout(over, milliseconds));

/** A server that takes its time, and may lose an answer on its way; what it keeps is what was written on what it had. */
class SlowServer {
  file: unknown = toFile(designOf("begun"));
  revision = 1;
  /** Milliseconds one way takes. */
  way = 50;
  losesAnswers = false;

  async send(file: unknown, revision: number): Promise<number> {
    await rest(this.way);
    if (revision !== this.revision) throw new ApiError(412, "stale", { revision: this.revision });
    this.revision += 1;
    this.file = file;
    const [next, isLost] = [this.revision, this.losesAnswers];
    await rest(this.way);
    if (isLost) throw new ApiError(0, "The server cannot be reached.");
    return next;
  }

  async fetch(): Promise<{ file: unknown; revision: number }> {
    await rest(this.way);
    return { file: this.file, revision: this.revision };
  }
}

/** A window with a desk that is left and opened again. */
class Window {
  private desk: { readonly store: DeskStore; readonly saver: Saver } | null = null;
  private kept: Kept | undefined;
  /** What it was last told of how its design stands. */
  readonly states = new Set<string>();

  constructor(
    private readonly server: SlowServer,
    private readonly id: string,
  ) {}

  async open(): Promise<void> {
    if (this.desk) return;
    const store = await loadDesk(this.id, {
      fetch: () => this.server.fetch(),
      readKept: () => Promise.resolve(this.kept),
    });
    store.subscribe(({ saveState }) => this.states.add(saveState.kind));
    const saver = new Saver(store, {
      send: (_id, file, revision) => this.server.send(file, revision),
      keep: async (_id, kept) => {
        await rest(2);
        this.kept = kept;
        return true;
      },
      fetch: () => this.server.fetch(),
    });
    this.states.add(store.getState().saveState.kind);
    this.desk = { store, saver };
  }

  /** As an arrow key that is held: several edits of one gesture. */
  edit(name: string): void {
    this.desk?.store.getState().edit({ label: name, gesture: "keys", apply: (draft) => void (draft.name = name) });
  }

  undo(): void {
    this.desk?.store.getState().undo();
  }

  leave(): void {
    if (this.desk) leave(this.id, this.desk.saver.stop());
    this.desk = null;
  }

  get name(): string | undefined {
    return this.desk?.store.getState().history.design.name;
  }
}

const step = fc.oneof(
  { weight: 5, arbitrary: fc.constant("edit" as const) },
  { weight: 1, arbitrary: fc.constant("undo" as const) },
  { weight: 3, arbitrary: fc.constant("leave" as const) },
  { weight: 3, arbitrary: fc.constant("open" as const) },
  { weight: 4, arbitrary: fc.integer({ min: 1, max: 1_500 }) },
  { weight: 1, arbitrary: fc.record({ way: fc.constantFrom(1, 50, 400, 3_000) }) },
  { weight: 1, arbitrary: fc.record({ losesAnswers: fc.boolean() }) },
);

let count = 0;

test("whatever is left, opened again, slow or lost, nobody is told of a conflict with himself, and the last state is saved", async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 40 }), async (steps) => {
      const server = new SlowServer();
      const window = new Window(server, `design-${++count}`);
      const opened = window.open();
      await clock.tickAsync(10_000);
      await opened;
      let edits = 0;
      let opening: Promise<void> = Promise.resolve();
      for (const one of steps) {
        if (one === "edit") window.edit(`edit ${++edits}`);
        else if (one === "undo") window.undo();
        else if (one === "leave") window.leave();
        else if (one === "open") opening = opening.then(() => window.open());
        else if (typeof one === "number") await clock.tickAsync(one);
        else Object.assign(server, one);
      }
      Object.assign(server, { way: 10, losesAnswers: false });
      opening = opening.then(() => window.open());
      await clock.tickAsync(60_000);
      await opening;
      await clock.tickAsync(60_000);
      expect([...window.states]).not.toContain("conflict");
      expect(server.file).toEqual(toFile(designOf(window.name ?? "")));
    }),
    { numRuns: members(150) },
  );
}, 120_000);

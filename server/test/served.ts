import { readdirSync } from "node:fs";
import { afterAll, beforeAll } from "@jest/globals";
import { callsTo, type Calls } from "./calls";
import { newDataFolder, startServer, type Running } from "./running";

export const DESIGN = {
  format: "twin-petal/1",
  name: "Vent",
  parts: [{ id: "a", motif: { kind: "petal" }, rules: [{ kind: "turn", count: 12 }] }],
};

/** Ids of the designs that ship. */
export const DEMO = readdirSync("demo").flatMap((file) => (file.endsWith(".petal.json") ? file.slice(0, -11) : []));

/** A server of its own for the tests of one file, over an empty database; ended after them. */
export function served(): Calls & { address: () => string } {
  let server: Running | null = null;
  beforeAll(async () => {
    server = await startServer(newDataFolder());
  }, 30_000);
  afterAll(() => server?.kill());
  const running = () => {
    if (!server) throw new Error("the server has not been started");
    return server;
  };
  return {
    address: () => running().address,
    call: (...asked) => callsTo(running()).call(...asked),
    send: (...asked) => callsTo(running()).send(...asked),
  };
}

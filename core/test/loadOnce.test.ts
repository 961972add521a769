import { describe, expect, test } from "@jest/globals";
import { LoadOnce, loadFont, fontOf } from "../src";
import { TEST_HOST } from "./prepared";

describe("what a host loads once", () => {
  test("is loaded once for all who ask, at the same time and later", async () => {
    const thing = new LoadOnce<number>();
    let loads = 0;
    const start = () => Promise.resolve(++loads);
    await Promise.all([thing.load(start), thing.load(start)]);
    await thing.load(start);
    expect([loads, thing.get("")]).toEqual([1, 1]);
  });

  test("is tried again after a load that failed, whether it failed at once or later", async () => {
    const thing = new LoadOnce<string>();
    await expect(thing.load(() => Promise.reject(new Error("no network")))).rejects.toThrow("no network");
    await expect(
      thing.load(() => {
        throw new Error("no such file");
      }),
    ).rejects.toThrow("no such file");
    expect(() => thing.get("not there yet")).toThrow("not there yet");
    await thing.load(() => Promise.resolve("there"));
    expect(thing.get("")).toBe("there");
  });

  test("a failure reaches all who waited for it, and none who come after", async () => {
    const thing = new LoadOnce<string>();
    const both = await Promise.allSettled([
      thing.load(() => Promise.reject(new Error("gone"))),
      thing.load(() => Promise.resolve("never asked")),
    ]);
    expect(both.map(({ status }) => status)).toEqual(["rejected", "rejected"]);
    await thing.load(() => Promise.resolve("back"));
    expect(thing.get("")).toBe("back");
  });

  test("a font that could not be fetched, or was none, is there once it can be", async () => {
    // Other tests have loaded the fonts that ship.
    const id = "of-this-test";
    await expect(loadFont(id, () => Promise.reject(new Error("offline")))).rejects.toThrow("offline");
    await expect(loadFont(id, () => Promise.resolve(new Uint8Array(40)))).rejects.toThrow();
    expect(() => fontOf(id)).toThrow(id);
    const file = "@fontsource/alegreya-sans/files/alegreya-sans-latin-700-normal.woff";
    await loadFont(id, () => TEST_HOST.font({ id, name: "", character: "", file }));
    expect(fontOf(id).unitsPerEm).toBe(1_000);
  });
});

import { afterEach, beforeEach, describe, expect, jest, test } from "@jest/globals";
import { readDesign, type Design } from "@twin-petal/core";
import { closeChannels, painting } from "./canvasThatCounts";
import type { Frame } from "@/workers/frame";
import { Painter } from "@/workers/painter";

beforeEach(() => {
  Object.assign(painting, { now: 0, aFill: 0.01, fills: 0, onFill: () => undefined });
  jest.spyOn(performance, "now").mockImplementation(() => painting.now);
});
afterEach(() => {
  jest.restoreAllMocks();
  closeChannels();
});

function designOf(count: number): Design {
  const parts = [{ id: "a", motif: { kind: "petal" }, rules: [{ kind: "turn", count }], finish: { fill: "#1E6F5C" } }];
  const { design } = readDesign({ format: "twin-petal/1", parts });
  if (!design) throw new Error("no design");
  return design;
}

const frameOf = (count: number): Frame => ({
  design: designOf(count),
  view: { x: 0, y: 0, scale: 3 },
  size: { width: 600, height: 600 },
  density: 1,
  colors: { page: "#EEEEEE", hairline: "#CCCCCC" },
  chosen: "a",
  copy: 0,
  built: null,
  held: null,
  thread: false,
});

function painterOnCanvas() {
  const nowhere = () => Promise.reject(new Error("nothing is to be loaded"));
  const painter = new Painter({ geometryEngine: nowhere, solidEngine: nowhere, font: nowhere });
  const front = new OffscreenCanvas(1, 1);
  painter.attach(front);
  return { painter, laid: () => Reflect.get(front, "laid") };
}

const copiesOf = (report: Awaited<ReturnType<Painter["show"]>>) => report && report.copies.get("a");

describe("a newer picture overtakes an older one", () => {
  test("of several asked for at once only the last is computed and shown", async () => {
    const { painter, laid } = painterOnCanvas();
    const shown = await Promise.all([3, 4, 5].map((count) => painter.show(frameOf(count))));
    expect(shown.map(copiesOf)).toEqual([null, null, 5]);
    expect(laid()).toBe(1);
    expect(painting.fills).toBeLessThan(10);
  });

  test("one under way is given up where it is, and what is asked of the scene is the newer one's", async () => {
    const { painter, laid } = painterOnCanvas();
    let second: ReturnType<Painter["show"]> = Promise.resolve(null);
    painting.onFill = (count) => {
      if (count === 1_000) second = painter.show(frameOf(7));
    };
    expect(await painter.show(frameOf(9_000))).toBeNull();
    expect(painting.fills).toBeLessThan(9_000);
    expect(copiesOf(await second)).toBe(7);
    expect(laid()).toBe(1);
    expect(painter.matrixOf("a", 6)).not.toBeNull();
    expect(painter.matrixOf("a", 7)).toBeNull();
  });

  test("when nothing was shown for a quarter of a second the one under way is finished, then the newer one", async () => {
    const { painter, laid } = painterOnCanvas();
    painting.aFill = 0.1;
    let second: ReturnType<Painter["show"]> = Promise.resolve(null);
    painting.onFill = (count) => {
      if (count === 3_000) second = painter.show(frameOf(7));
    };
    expect(copiesOf(await painter.show(frameOf(9_000)))).toBe(9_000);
    expect(copiesOf(await second)).toBe(7);
    expect(laid()).toBe(2);
  });

  test("one that nothing overtakes is shown whole, however long it takes", async () => {
    const { painter, laid } = painterOnCanvas();
    painting.aFill = 1;
    expect(copiesOf(await painter.show(frameOf(2_000)))).toBe(2_000);
    expect(painting.fills).toBeGreaterThanOrEqual(2_000);
    expect(laid()).toBe(1);
  });
});

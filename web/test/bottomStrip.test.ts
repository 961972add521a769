import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { number as numberField, readDesign, resolveDesign, type Design } from "@twin-petal/core";
import { buildStages, stageWords } from "@/desk/bottom/buildStages";
import { neighboursOf, stepFor, valuesAround } from "@/desk/bottom/neighbourValues";
import { Freshness } from "@/desk/stage/freshness";
import { PictureQueue, type PictureWish } from "@/desk/live/pictureQueue";
import { lookOf, WHOLE } from "@/paint/look";
import type { NumberAtHand } from "@/store/atHand";
import { createDeskStore, rehearsed } from "@/store/deskStore";
import { applyEdit } from "@/store/edit";
import { beginHistory, make, settle } from "@/store/history";
import { nameNumber } from "@/store/edits/nameNumber";
import { setField } from "@/store/edits/rules";
import { scaledDefaults } from "@/store/edits/scaledDefaults";
import { surprise } from "@/store/edits/surprise";
import type { SheetPicture } from "@/workers/frame";

function designOf(content: object): Design {
  const { design, problems } = readDesign({ format: "twin-petal/1", ...content });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}

const number = (more: Partial<NumberAtHand>): NumberAtHand => ({
  kind: "number",
  id: "a/count",
  label: "turn count",
  value: 16,
  stored: 16,
  step: 1,
  min: 1,
  max: 360,
  whole: true,
  nameable: true,
  show: (value) => `${value} times`,
  set: () => undefined,
  setFormula: () => undefined,
  ...more,
});

describe("values near the one in focus", () => {
  test("the present one stands in the middle; past the limits there is nothing", () => {
    expect(valuesAround(number({}), 9, 1)).toEqual([12, 13, 14, 15, 16, 17, 18, 19, 20]);
    expect(valuesAround(number({ value: 2 }), 9, 1)).toEqual([1, 2, 3, 4, 5, 6]);
    expect(valuesAround(number({ value: 359 }), 5, 1)).toEqual([357, 358, 359, 360]);
  });

  test("a value off its steps is kept as it is; whole numbers stay whole and come once", () => {
    expect(valuesAround(number({ value: 0.123456789, step: 0.1, whole: false, min: 0 }), 3, 0.1)).toEqual([
      0.023457, 0.123456789, 0.223457,
    ]);
    expect(valuesAround(number({}), 5, 0.4)).toEqual([15, 16, 17]);
  });

  test("they ascend, are within the limits and hold the present value", () => {
    const finite = fc.double({ min: -1_000, max: 1_000, noNaN: true });
    fc.assert(
      fc.property(
        finite,
        fc.double({ min: 0.01, max: 50, noNaN: true }),
        fc.integer({ min: 1, max: 15 }),
        (value, step, count) => {
          const values = valuesAround(number({ value, min: -1_000, max: 1_000, whole: false }), count, step);
          expect(values).toContain(value);
          expect([...values].sort((a, b) => a - b)).toEqual(values);
          expect(values.every((one) => one >= -1_000 && one <= 1_000)).toBe(true);
        },
      ),
    );
  });

  test("a step shows: about a tenth of a large value, one step of a small one", () => {
    expect(stepFor(number({ value: 4 }))).toBe(1);
    expect(stepFor(number({ value: 237 }))).toBe(20);
    expect(stepFor(number({ value: -0.52, step: 0.01, whole: false }))).toBe(0.05);
    expect(stepFor(number({ value: 0, step: 0.5, whole: false }))).toBe(0.5);
  });

  test("taking one sets it; of a choice all values are shown, the present one marked", () => {
    const taken: (number | string)[] = [];
    const [first] = neighboursOf(number({ set: (value) => taken.push(value) }), 3, 1);
    expect(first).toMatchObject({ words: "15 times", current: false });
    first?.take();
    const choice = {
      kind: "choice",
      id: "face",
      label: "facing",
      value: "in",
      choices: [
        { value: "out", words: "out" },
        { value: "in", words: "in" },
      ],
      set: (value: string) => void taken.push(value),
    } as const;
    const shown = neighboursOf(choice, 9, 1);
    expect(shown.map(({ words, current }) => [words, current])).toEqual([
      ["out", false],
      ["in", true],
    ]);
    shown[0]?.take();
    expect(taken).toEqual([15, "out"]);
  });
});

describe("the build-up", () => {
  const rounds = [
    { kind: "turn", copies: 8 },
    { kind: "ring", copies: 12 },
  ];

  test("stages are the source, then every rule whole", () => {
    expect(buildStages(rounds, 96)).toEqual([
      { words: "the source", copies: 1 },
      { words: "after the turn", copies: 8 },
      { words: "after the ring", copies: 96 },
    ]);
    // Copies that would have doubled another are left out.
    expect(buildStages(rounds, 90).at(-1)?.copies).toBe(90);
    expect(buildStages([], 1)).toHaveLength(1);
  });

  test("each rule is told at its own count, the last applied first", () => {
    expect(stageWords(rounds, 17, 96)).toBe("copy 17 of 96 · ring 3 of 12 · turn 1 of 8");
    expect(stageWords(rounds, 96, 96)).toBe("copy 96 of 96 · ring 12 of 12 · turn 8 of 8");
    expect(stageWords(rounds, 0, 96)).toBe("copy 0 of 96 · ring 1 of 12 · turn 1 of 8");
    expect(stageWords([{ kind: "turn", copies: 2_000 }], 1_234, 2_000)).toContain("copy 1,234 of 2,000");
  });

  test("what is held back is not painted: the source alone, or as far as it is built", () => {
    const [one, other] = [{ id: "a" }, { id: "b" }];
    const most = (look: ReturnType<typeof lookOf>) =>
      [one, other].map((part) => Reflect.apply(look.most, null, [part]));
    expect(most(WHOLE)).toEqual([Infinity, Infinity]);
    expect(most(lookOf({ held: "source", chosen: "a", built: 5 }))).toEqual([1, 1]);
    expect(most(lookOf({ held: null, chosen: "a", built: 5 }))).toEqual([5, Infinity]);
    expect(lookOf({ held: "lines", chosen: null, built: null }).lines).toBe(true);
  });
});

describe("a surprise", () => {
  const design = designOf({
    numbers: [
      { name: "holes", value: 24, min: 3, max: 60, step: 1 },
      { name: "free", value: 7 },
    ],
    parts: [{ id: "a", motif: { kind: "petal", length: 40 }, rules: [{ kind: "turn", count: 12, angle: 20 }] }],
  });

  test("throws the numbers that have a range, on their steps, the same for the same seed", () => {
    for (let seed = 0; seed < 40; seed++) {
      const thrown = applyEdit(design, surprise(design, "a", seed, "throw"));
      const [holes, free] = thrown.numbers.map(({ value }) => value);
      expect(Number.isInteger(holes)).toBe(true);
      expect(holes).toBeGreaterThanOrEqual(3);
      expect(holes).toBeLessThanOrEqual(60);
      expect(free).toBe(7);
      expect(thrown.parts).toEqual(design.parts);
      expect(applyEdit(design, surprise(design, "a", seed, "throw"))).toEqual(thrown);
    }
    const values = Array.from(
      { length: 40 },
      (_, seed) => applyEdit(design, surprise(design, "a", seed, "")).numbers[0]?.value,
    );
    expect(new Set(values).size).toBeGreaterThan(15);
  });

  test("without ranges the chosen part's own numbers are thrown, from half to half again, and it can be computed", () => {
    const bare = designOf({ parts: design.parts.map(({ id, motif, rules }) => ({ id, motif, rules })) });
    for (let seed = 0; seed < 40; seed++) {
      const thrown = applyEdit(bare, surprise(bare, "a", seed, "throw"));
      expect(resolveDesign(thrown).problems).toEqual([]);
      const [part] = thrown.parts;
      expect(part?.motif.length).toBeGreaterThanOrEqual(20);
      expect(part?.motif.length).toBeLessThanOrEqual(60);
      expect(part?.rules[0]?.count).toBeGreaterThanOrEqual(6);
      expect(part?.rules[0]?.count).toBeLessThanOrEqual(18);
    }
    expect(applyEdit(bare, surprise(bare, null, 1, "throw"))).toBe(bare);
  });

  test("thrown again in one gesture it is worked out from before, and one undo goes back", () => {
    const once = make(beginHistory(design), surprise(design, "a", 1, "throw"));
    const twice = make(once, surprise(design, "a", 2, "throw"));
    expect(twice.past).toHaveLength(1);
    expect(twice.design).toEqual(applyEdit(design, surprise(design, "a", 2, "throw")));
    expect(twice.past[0]?.design).toBe(design);
  });
});

describe("the desk's store", () => {
  const design = designOf({
    numbers: [{ name: "turnCount", value: 3 }],
    parts: [{ id: "a", motif: { kind: "petal" }, rules: [{ kind: "turn", count: 16 }] }],
  });
  const laid = () => createDeskStore("d", beginHistory(design), 1, { kind: "saved" });
  const setCount = (value: number | string) => setField("a", { rule: 0 }, "count", value, "change the count");

  test("rehearsing shows what a hand would do, and does nothing", () => {
    const store = laid();
    const tried = rehearsed(store, () => store.getState().edit(setCount(9)));
    expect(tried.parts[0]?.rules[0]?.count).toBe(9);
    expect(store.getState().history.design).toBe(design);
    expect(store.getState().history.past).toEqual([]);
  });

  test("a number in a sentence gets a name of its own, its formula in its place, as one step", () => {
    const store = laid();
    const atHand = number({ setFormula: (formula) => store.getState().edit(setCount(formula)) });
    store.getState().edit(nameNumber(store, atHand));
    const { history } = store.getState();
    // turnCount is taken.
    expect(history.design.numbers.at(-1)).toEqual({ name: "turnCount2", value: 16 });
    expect(history.design.parts[0]?.rules[0]?.count).toBe("turnCount2");
    expect(resolveDesign(history.design).problems).toEqual([]);
    expect(history.past).toHaveLength(1);
    store.getState().undo();
    expect(store.getState().history.design).toBe(design);
  });

  test("a settled gesture goes on no longer", () => {
    const pulled = make(beginHistory(design), { ...setCount(9), gesture: "pull" });
    expect(make(pulled, { ...setCount(8), gesture: "pull" }).past).toHaveLength(1);
    expect(make(settle(pulled), { ...setCount(8), gesture: "pull" }).past).toHaveLength(2);
    expect(settle(beginHistory(design)).past).toEqual([]);
  });
});

test("default lengths suit the sheet: as they are on a usual one, larger on a banner, smaller on a token", () => {
  const fields = { length: numberField("length", 40), turns: numberField("count", 3), tip: numberField("length", 0) };
  const on = (width: number, height: number) => scaledDefaults(designOf({ sheet: { width, height } }), fields);
  expect(on(200, 200)).toEqual({});
  expect(on(297, 210)).toEqual({});
  expect(on(2_000, 800)).toEqual({ length: 160 });
  expect(on(30, 60)).toEqual({ length: 6 });
});

describe("small pictures, one after another", () => {
  const size = { width: 10, height: 10 };
  const wish = (asked: Design): PictureWish => ({
    design: asked,
    around: "own",
    about: null,
    size,
    isSolid: false,
    isThread: false,
  });
  const design = designOf({});
  const picture: SheetPicture = { bitmap: null, trouble: "none" };
  const rested = () => {
    const currency = new Freshness();
    currency.set(true);
    return currency;
  };

  test("are painted in the order asked, those wanted first before; one no longer wanted is not", async () => {
    const painted: Design[] = [];
    const others = ["one", "two", "three", "urgent"].map((name) => designOf({ name }));
    const assistant = {
      picture: ({ design: asked }: PictureWish) => {
        painted.push(asked);
        return Promise.resolve(picture);
      },
      standBack: () => Promise.resolve(),
    };
    const queue = new PictureQueue(assistant, rested());
    const gone = new AbortController();
    const [one = design, two = design, three = design, urgent = design] = others;
    const going = new AbortController().signal;
    const answers = [
      queue.ask(wish(one), going),
      queue.ask(wish(two), gone.signal),
      queue.ask(wish(three), going),
      queue.ask(wish(urgent), going, true),
    ];
    gone.abort();
    expect(await Promise.all(answers)).toEqual([picture, null, picture, picture]);
    expect(painted.map(({ name }) => name)).toEqual(["one", "urgent", "three"]);
  });

  test("one that had to stand back is painted again when the hand rests; one that fails ends nothing", async () => {
    const currency = rested();
    let calls = 0;
    let stoodBack = 0;
    const assistant = {
      picture: ({ design: asked }: PictureWish) => {
        if (asked.name === "broken") return Promise.reject(new Error("no memory left"));
        calls += 1;
        if (calls > 1) return Promise.resolve(picture);
        currency.set(false);
        setTimeout(() => currency.set(true), 5);
        return Promise.resolve(null);
      },
      standBack: () => Promise.resolve(void (stoodBack += 1)),
    };
    const queue = new PictureQueue(assistant, currency);
    const { signal } = new AbortController();
    const answers = await Promise.all([
      queue.ask(wish(design), signal),
      queue.ask(wish(designOf({ name: "broken" })), signal),
      queue.ask(wish(design), signal),
    ]);
    expect(answers).toEqual([picture, { bitmap: null, trouble: "no memory left" }, picture]);
    expect(calls).toBe(3);
    expect(stoodBack).toBe(1);
  });

  test("the picture under the hand has rested for as long as it has been current", async () => {
    const currency = new Freshness();
    const told: boolean[] = [];
    const end = currency.watch((current) => told.push(current));
    expect(currency.restedFor()).toBe(0);
    currency.set(true);
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(currency.restedFor()).toBeGreaterThan(10);
    currency.set(false);
    end();
    currency.set(true);
    expect(told).toEqual([false, true, false]);
  });
});

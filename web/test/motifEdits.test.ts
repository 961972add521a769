import { describe, expect, test } from "@jest/globals";
import fc from "fast-check";
import { emptyDesign, JOIN_DEFAULT, newPart, type Design, type Motif, type WalkStepValue } from "@twin-petal/core";
import { applyEdit, type Edit } from "@/store/edit";
import { addMadePart, bakeMotif } from "@/store/edits/drawn";
import { addStroke, removeStroke, setStroke, styleStroke } from "@/store/edits/freehand";
import { addGuide, removeGuide, setGuide } from "@/store/edits/guides";
import {
  addNested,
  changeNested,
  combineWith,
  removeNested,
  setNestedPlace,
  stampAgain,
  takeApart,
} from "@/store/edits/nested";
import { addRule, setField } from "@/store/edits/rules";
import { moveRow, replaceStep, rowsOf, setStepNumber, setSteps, stepsOf } from "@/store/edits/walk";
import { graspAt } from "@/desk/stage/nodes/grasp";
import { nearestOnPath } from "@/desk/stage/nodes/nearestOnPath";
import { strokeNear } from "@/desk/stage/draw/freehandLayer";

const designOf = (motif: Motif): Design => ({ ...emptyDesign("Test"), parts: [newPart("a", "A", motif)] });
const after = (design: Design, ...edits: readonly Edit[]) => edits.reduce(applyEdit, design);
const motifAfter = (design: Design, ...edits: readonly Edit[]) => after(design, ...edits).parts[0]?.motif;

describe("a walk's list", () => {
  const steps: WalkStepValue[] = [
    { go: 1 },
    { times: 3, steps: [{ turn: 90 }, { times: 2, steps: [{ skip: 4 }] }] },
    { go: 2 },
  ];

  test("is laid out in rows with a foot for every repeat, and read back the same", () => {
    const rows = rowsOf(steps);
    expect(rows.map(({ kind, depth }) => `${kind} ${depth}`)).toEqual([
      "step 0",
      "step 0",
      "step 1",
      "step 1",
      "step 2",
      "foot 1",
      "foot 0",
      "step 0",
    ]);
    expect(stepsOf(rows)).toEqual(steps);
  });

  test("steps are dragged into a repeat and out; a repeat takes all in it along and never into itself", () => {
    const rows = rowsOf(steps);
    expect(stepsOf(moveRow(rows, 7, 6))[1]).toEqual({
      times: 3,
      steps: [...(steps[1] && "steps" in steps[1] ? steps[1].steps : []), { go: 2 }],
    });
    expect(stepsOf(moveRow(rows, 2, 7))).toEqual([
      { go: 1 },
      { times: 3, steps: [{ times: 2, steps: [{ skip: 4 }] }] },
      { go: 2 },
      { turn: 90 },
    ]);
    expect(stepsOf(moveRow(rows, 1, 0))).toEqual([steps[1], steps[0], steps[2]]);
    expect(moveRow(rows, 1, 4)).toBe(rows);
    expect(moveRow(rows, 6, 0)).toBe(rows);
  });

  test("no drag loses a step or unbalances the repeats", () => {
    const count = (list: readonly WalkStepValue[]): number =>
      list.reduce((sum, step) => sum + 1 + ("steps" in step ? count(step.steps) : 0), 0);
    fc.assert(
      fc.property(fc.nat(7), fc.nat(7), (from, to) => {
        const moved = stepsOf(moveRow(rowsOf(steps), from, to));
        return count(moved) === count(steps) && rowsOf(moved).length === rowsOf(steps).length;
      }),
    );
  });

  test("one step is set, repeated, removed where it is written", () => {
    const set = replaceStep(steps, [1, 1, 0], (step) => [setStepNumber(step, "stride")]);
    expect(JSON.stringify(set)).toContain('{"skip":"stride"}');
    expect(replaceStep(steps, [0], () => [])).toEqual(steps.slice(1));
    const design = designOf({ kind: "walk", steps: [] });
    expect(motifAfter(design, setSteps("a", steps, "set"))?.steps).toEqual(steps);
  });
});

describe("cutouts and combined shapes", () => {
  const disc = designOf({ kind: "disc", radius: 20 });

  test("are added, placed, stamped again aside, changed at their place, removed", () => {
    const cut = after(
      disc,
      addNested("a", "cutouts", { kind: "star", at: { size: 0.3 } }),
      setNestedPlace("a", { cutout: 0 }, { x: 5, size: 1 }, "move"),
      stampAgain("a", "cutouts", 0, 10),
      changeNested("a", { cutout: 1 }, { kind: "drop" }),
      setField("a", { cutout: 0 }, "points", 9, "points"),
    );
    expect(cut.parts[0]?.cutouts).toEqual([
      { kind: "star", points: 9, at: { x: 5 } },
      { kind: "drop", at: { x: 15 } },
    ]);
    expect(after(cut, removeNested("a", "cutouts", 0)).parts[0]?.cutouts).toHaveLength(1);
    const back = after(cut, setNestedPlace("a", { cutout: 0 }, { x: 0 }, "back"));
    expect(back.parts[0]?.cutouts[0]).toEqual({ kind: "star", points: 9 });
  });

  test("the first keeps its numbers when others join it, and comes back when they are taken apart", () => {
    const combined = after(disc, combineWith("a", { kind: "rectangle" }), addNested("a", "members", { kind: "petal" }));
    expect(combined.parts[0]?.motif).toEqual({
      kind: "compound",
      op: "union",
      of: [{ kind: "disc", radius: 20 }, { kind: "rectangle" }, { kind: "petal" }],
    });
    expect(motifAfter(combined, setField("a", { member: 0 }, "radius", 7, "radius"), takeApart("a"))).toEqual({
      kind: "disc",
      radius: 7,
    });
  });
});

describe("made motifs", () => {
  test("strokes are added, drawn on, given a width and a colour of their own, removed with them", () => {
    const design = designOf({ kind: "freehand" });
    const drawn = after(
      design,
      addStroke("a", [[0, 0, 0.5]], "s"),
      setStroke(
        "a",
        0,
        [
          [0, 0, 0.5],
          [3, 4, 0.5],
        ],
        "s",
      ),
      addStroke("a", [[9, 9, 0.5]], "t"),
      styleStroke("a", 1, { width: 5 }, "width"),
      styleStroke("a", 1, { color: "#C8442B" }, "colour"),
    );
    expect(drawn.parts[0]?.motif).toMatchObject({ styles: [null, { width: 5, color: "#C8442B" }] });
    expect(motifAfter(drawn, removeStroke("a", 0))).toEqual({
      kind: "freehand",
      strokes: [[[9, 9, 0.5]]],
      styles: [{ width: 5, color: "#C8442B" }],
    });
    expect(
      strokeNear(
        [
          [
            [0, 0, 0.5],
            [10, 0, 0.5],
            [20, 0, 0.5],
          ],
          [
            [0, 9, 0.5],
            [20, 9, 0.5],
          ],
        ],
        { x: 11, y: 1 },
        3,
      ),
    ).toBe(0);
    expect(
      strokeNear(
        [
          [
            [0, 0, 0.5],
            [10, 0, 0.5],
          ],
        ],
        { x: 5, y: 50 },
        3,
      ),
    ).toBeNull();
  });

  test("baking leaves what is cut from the motif, its place and its wedge live", () => {
    const design = designOf({ kind: "disc", at: { x: 7 } });
    const [part] = design.parts;
    if (!part) throw new Error("no part");
    const cut = {
      ...design,
      parts: [{ ...part, cutouts: [{ kind: "star" }], join: { ...JOIN_DEFAULT, trimToWedge: true } }],
    };
    const baked = after(
      cut,
      bakeMotif("a", [{ closed: true, coordinates: [0, 0, 0, 0, 5, 0, 5, 0, 5, 0, 5, 5, 5, 5, 5, 5, 0, 0, 0, 0] }]),
    );
    expect(baked.parts[0]).toMatchObject({
      cutouts: [{ kind: "star" }],
      join: { trimToWedge: true },
      motif: { kind: "drawn", at: { x: 7 } },
    });
  });

  test("a line that is made is drawn, an area is filled; lettering's circle is set within its field", () => {
    const open = addMadePart(emptyDesign(""), { kind: "walk", steps: [] }, "Walk", true);
    expect(after(emptyDesign(""), open.edit).parts[0]?.finish).toMatchObject({ fill: null, line: { width: 0.8 } });
    const text = designOf({ kind: "text", on: { radius: 50, inside: true } });
    expect(motifAfter(text, setField("a", "motif", "on.radius", 64, "radius"))?.on).toEqual({
      radius: 64,
      inside: true,
    });
    expect(motifAfter(text, setField("a", "motif", "on.inside", undefined, "side"))?.on).toEqual({ radius: 50 });
  });

  test("guides are laid, changed and taken away", () => {
    const laid = after(
      emptyDesign(""),
      addGuide({ x: 3 }, "lay"),
      addGuide({ angle: 45 }, "lay"),
      setGuide(0, { x: 9 }, "move"),
    );
    expect(laid.guides).toEqual([{ x: 9 }, { angle: 45 }]);
    expect(after(laid, removeGuide(0)).guides).toEqual([{ angle: 45 }]);
  });
});

describe("taking hold of an outline", () => {
  const corner = (x: number, y: number) => ({ x, y, in: null, out: null, type: "corner" as const });
  const square = [
    {
      closed: true,
      nodes: [corner(0, 0), { ...corner(100, 0), out: { x: 0, y: 30 } }, corner(100, 100), corner(0, 100)],
    },
  ];
  const same = (point: { x: number; y: number }) => point;

  test("nodes go before handles that lie on them, handles of chosen nodes before middles", () => {
    const lying = [
      { closed: true, nodes: [{ ...corner(0, 0), out: { x: 100, y: 0 } }, ...(square[0]?.nodes.slice(1) ?? [])] },
    ];
    expect(graspAt({ x: 101, y: 1 }, lying, new Set([0]), same)).toEqual({ kind: "node", number: 1 });
    const short = [
      { closed: true, nodes: [{ ...corner(0, 0), out: { x: 6, y: 0 } }, ...(square[0]?.nodes.slice(1) ?? [])] },
    ];
    expect(graspAt({ x: 6, y: 0 }, short, new Set([0]), same)).toEqual({ kind: "node", number: 0 });
    expect(graspAt({ x: 101, y: 29 }, square, new Set([1]), same)).toEqual({ kind: "handle", number: 1, side: "out" });
    expect(graspAt({ x: 101, y: 29 }, square, new Set(), same)).toBeNull();
    expect(graspAt({ x: 3, y: -3 }, square, new Set(), same)).toEqual({ kind: "node", number: 0 });
    expect(graspAt({ x: 50, y: 2 }, square, new Set(), same)).toEqual({
      kind: "segment",
      place: { run: 0, segment: 0 },
    });
    expect(graspAt({ x: 50, y: 50 }, square, new Set(), same)).toBeNull();
  });

  test("the nearest place on an outline is found within a thousandth", () => {
    const near = nearestOnPath(square, { x: 30, y: 108 });
    expect(near?.place).toEqual({ run: 0, segment: 2 });
    expect(near?.distance).toBeCloseTo(8, 3);
    expect(nearestOnPath([], { x: 0, y: 0 })).toBeNull();
  });

  test("a rule that follows a line takes the nearest line, not lettering that lies between", () => {
    const [petal] = designOf({ kind: "petal" }).parts;
    if (!petal) throw new Error("no part");
    const part = (id: string, motif: Motif) => ({ ...petal, id, motif });
    const parts = [
      part("ring", { kind: "disc" }),
      part("rail", { kind: "arc" }),
      part("words", { kind: "text" }),
      part("bead", { kind: "disc" }),
    ];
    const design = { ...emptyDesign(""), parts };
    const pathOf = (from: typeof design) => after(from, addRule(from, "bead", "along")).parts.at(-1)?.rules[0]?.path;
    expect(pathOf(design)).toBe("rail");
    expect(pathOf({ ...design, parts: parts.filter(({ id }) => id !== "rail") })).toBe("ring");
  });
});

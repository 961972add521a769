import { describe, expect, test } from "@jest/globals";
import { emptyDesign } from "@twin-petal/core";
import { beginHistory, givenUp, make, redo, undo } from "@/store/history";
import { addNumber, removeNumber, renameNumber, setNumber, numberUses } from "@/store/edits/numbers";
import { addPart, movePart, partEdit, removePart } from "@/store/edits/parts";
import { addRule, moveRule, setField } from "@/store/edits/rules";

const rename = (name: string, gesture?: string) => ({
  label: `name ${name}`,
  ...(gesture !== undefined && { gesture }),
  apply: (draft: { name: string }) => {
    draft.name = name;
  },
});

const makeMoved = (from: ReturnType<typeof beginHistory>) =>
  ["b", "c"].reduce((history, name) => make(history, { ...rename(name, "pull"), label: "move a node" }), from).past[0]
    ?.label;

describe("history", () => {
  const begun = beginHistory(emptyDesign("a"));

  test("edits of one gesture are one step, of two gestures two", () => {
    const pulled = ["b", "c", "d"].reduce((history, name) => make(history, rename(name, "pull")), begun);
    expect(pulled.past).toHaveLength(1);
    expect(undo(pulled).design.name).toBe("a");
    expect(make(pulled, rename("e", "another")).past).toHaveLength(2);
  });

  test("a gesture is named by its first value and its last", () => {
    const scrub = ["count 8 → 9", "count 9 → 10", "count 10 → 13"].reduce(
      (history, label) => make(history, { ...rename(label, "scrub"), label }),
      begun,
    );
    expect(scrub.past.map(({ label }) => label)).toEqual(["count 8 → 13"]);
    expect(makeMoved(begun)).toBe("move a node");
  });

  test("a gesture that is given up leaves nothing behind, not even a way forward", () => {
    const before = make(begun, rename("b"));
    const pulled = ["c", "d"].reduce((history, name) => make(history, rename(name, "a/drag-1")), before);
    expect(givenUp(pulled, "drag-1")).toEqual({ ...before, future: [] });
    expect(givenUp(before, "drag-1")).toBe(before);
  });

  test("redo goes forward again until something else is done; an edit that changes nothing is no step", () => {
    const back = undo(make(begun, rename("b")));
    expect(redo(back).design.name).toBe("b");
    expect(make(back, rename("c")).future).toEqual([]);
    expect(make(begun, rename("a"))).toBe(begun);
    expect(undo(begun).design).toBe(begun.design);
  });
});

describe("edits", () => {
  const begun = beginHistory(emptyDesign("a"));
  const first = addPart(begun.design, "petal");
  const one = make(begun, first.edit);
  const second = addPart(one.design, "petal");
  const two = make(one, second.edit);

  test("names of new parts differ, and removing one that cuts or keeps says whom", () => {
    expect(two.design.parts.map(({ name }) => name)).toEqual(["Petal", "Petal 2"]);
    const cut = make(
      two,
      partEdit(second.id, "cut", ({ join }) => void join.cutBy.push(first.id)),
    );
    const [cutter] = cut.design.parts;
    if (!cutter) throw new Error("no part");
    const removed = make(cut, removePart(cut.design, cutter));
    expect(removed.past.at(-1)?.label).toBe("remove “Petal”, which cut or kept “Petal 2”");
    expect(removed.design.parts[0]?.join.cutBy).toEqual([]);
  });

  test("a second reflect begins square to the first", () => {
    const once = make(one, addRule(one.design, first.id, "reflect"));
    const twice = make(once, addRule(once.design, first.id, "reflect"));
    const [mirror, square] = twice.design.parts[0]?.rules ?? [];
    expect(Number(square?.["angle"] ?? 0) - Number(mirror?.["angle"] ?? 0)).toBe(90);
  });

  test("parts get ids of their own, move in the stack and go", () => {
    expect(two.design.parts.map(({ id }) => id)).toEqual(["petal", "petal-2"]);
    const [bottom] = two.design.parts;
    if (!bottom) throw new Error("no part");
    expect(make(two, movePart(bottom, 1)).design.parts.map(({ id }) => id)).toEqual(["petal-2", "petal"]);
    expect(make(two, removePart(two.design, bottom)).design.parts).toHaveLength(1);
    expect(
      make(
        two,
        partEdit("gone", "nothing", () => undefined),
      ),
    ).toBe(two);
  });

  test("rules are added, moved, set and brought back to their default", () => {
    const ruled = ["turn", "ring"].reduce(
      (history, kind) => make(history, addRule(history.design, "petal", kind)),
      two,
    );
    const kinds = make(ruled, moveRule("petal", 1, 0)).design.parts[0]?.rules.map(({ kind }) => kind);
    expect(kinds).toEqual(["ring", "turn"]);
    const set = make(ruled, setField("petal", { rule: 0 }, "count", 5, "count"));
    expect(set.design.parts[0]?.rules[0]).toEqual({ kind: "turn", on: true, count: 5 });
    expect(make(set, setField("petal", { rule: 0 }, "count", undefined, "count")).design).toEqual(ruled.design);
  });

  test("numbers are renamed and removed in every formula, and counted where they are used", () => {
    const named = make(two, addNumber(two.design));
    const used = make(named, setField("petal", "motif", "length", "size * 2 + sizes", "length"));
    expect(numberUses(used.design).get("size")).toHaveLength(1);
    expect(make(used, renameNumber("size", "rim")).design.parts[0]?.motif.length).toBe("rim * 2 + sizes");
    const negative = make(used, setNumber("size", -3, "size"));
    expect(make(negative, removeNumber(negative.design, "size")).design.parts[0]?.motif.length).toBe(
      "(-3) * 2 + sizes",
    );
  });
});

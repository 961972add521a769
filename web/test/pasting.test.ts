import { expect, test } from "@jest/globals";
import { bundleOf, differencesBetween, readDesign, type Design } from "@twin-petal/core";
import { differenceWords } from "@/compare/differenceWords";
import { applyEdit } from "@/store/edit";
import { pasteParts, pastePiece } from "@/store/edits/pasteParts";

function designOf(content: object): Design {
  const { design, problems } = readDesign({ format: "twin-petal/1", ...content });
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}

const FROM = designOf({
  numbers: [
    { name: "petals", value: 9 },
    { name: "long", value: 30 },
  ],
  palette: [{ name: "ink", color: "#2B2140" }],
  parts: [
    { id: "line", name: "Line", motif: { kind: "wave" }, role: "guide" },
    {
      id: "leaf",
      name: "Leaf",
      motif: { kind: "leaf", length: "long" },
      rules: [{ kind: "along", path: "line", count: "petals" }],
      finish: { fill: "palette:ink" },
    },
  ],
});
const INTO = designOf({
  numbers: [{ name: "petals", value: 5 }],
  parts: [{ id: "a", name: "Disc", motif: { kind: "disc" }, rules: [{ kind: "ring", count: "petals" }] }],
});

test("rules bring the part they follow and the numbers they use, and nothing else", () => {
  const edit = pastePiece(INTO, FROM, "a", "rules");
  if ("trouble" in edit) throw new Error(edit.trouble);
  expect(edit.label).toBe("paste the rules of “Leaf”");
  const next = applyEdit(INTO, edit);
  expect(next.numbers.map(({ name }) => name)).toEqual(["petals", "petals2"]);
  expect(next.palette).toEqual([]);
  expect(next.parts.map(({ id }) => id)).toEqual(["a", "line"]);
  expect(next.parts[0]).toMatchObject({
    motif: { kind: "disc" },
    rules: [{ kind: "along", path: "line", count: "petals2" }],
  });
});

test("a finish brings its colours, and no part", () => {
  const edit = pastePiece(INTO, FROM, "a", "finish");
  if ("trouble" in edit) throw new Error(edit.trouble);
  const next = applyEdit(INTO, edit);
  expect(next.palette).toEqual([{ name: "ink", color: "#2B2140" }]);
  expect(next.parts).toHaveLength(1);
  expect(next.parts[0]?.finish.fill).toBe("palette:ink");
  expect(next.parts[0]?.rules).toEqual(INTO.parts[0]?.rules);
});

test("parts from elsewhere stand where they stood, one's own beside themselves", () => {
  const pasted = pasteParts(INTO, bundleOf(FROM, ["leaf"], "Leaf"));
  if ("trouble" in pasted) throw new Error(pasted.trouble);
  expect(pasted.id).toBe("leaf");
  expect(applyEdit(INTO, pasted.edit).parts.at(-1)?.at).toMatchObject({ x: 0, y: 0 });
  const own = pasteParts(INTO, bundleOf(INTO, ["a"], "Disc"));
  if ("trouble" in own) throw new Error(own.trouble);
  expect(applyEdit(INTO, own.edit).parts.map(({ id, name, at: { x } }) => [id, name, x])).toEqual([
    ["a", "Disc", 0],
    ["a-2", "Disc 2", 10],
  ]);
});

test("differences are said by part, by rule and by field, with both values", () => {
  const to = designOf({
    sheet: { width: 120 },
    parts: [
      { id: "a", name: "Disc", motif: { kind: "disc", radius: 7 }, rules: [{ kind: "ring", count: 12, own: 30 }] },
      { id: "b", name: "Star", motif: { kind: "star" }, visible: false },
    ],
  });
  const said = differencesBetween(INTO, to).map((difference) => {
    const { about, before, after } = differenceWords(INTO, to, difference);
    return `${about}: ${before}, then ${after}`;
  });
  expect(said).toEqual([
    "sheet width: 200, then 120",
    "number petals: there, then not there",
    "“Disc”, disc: radius: 20, then 7",
    "“Disc”, ring: count: petals, then 12",
    "“Disc”, ring: own turn: 0, then 30",
    "“Star”: not there, then a part",
  ]);
});

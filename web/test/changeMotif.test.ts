import { expect, test } from "@jest/globals";
import fc from "fast-check";
import { MOTIFS, readDesign, toFile, type Design } from "@twin-petal/core";
import { applyEdit } from "@/store/edit";
import { changeMotif } from "@/store/edits/parts";

function designOf(motif: object): Design {
  const file = { format: "twin-petal/1", numbers: [{ name: "size", value: 37 }], parts: [{ id: "a", motif }] };
  const { design, problems } = readDesign(file);
  if (!design) throw new Error(JSON.stringify(problems));
  return design;
}

test("another kind of motif keeps the lengths both have, with their formulas, and where it stands", () => {
  const petal = designOf({ kind: "petal", length: "size * 2", width: 11, tip: 0.4, at: { x: 3 } });
  const leaf = applyEdit(petal, changeMotif(petal, "a", "leaf"));
  expect(leaf.parts[0]?.motif).toMatchObject({ kind: "leaf", length: "size * 2", width: 11, at: { x: 3 } });
  // Shares and angles mean other things elsewhere.
  expect(leaf.parts[0]?.motif.tip).toBeUndefined();
  const disc = applyEdit(leaf, changeMotif(leaf, "a", "disc"));
  expect(Object.keys(disc.parts[0]?.motif ?? {})).toEqual(["kind", "at"]);
});

test("whatever the kinds, what comes of it is a valid design", () => {
  const kinds = MOTIFS.filter(({ origin }) => origin !== "made").map(({ kind }) => kind);
  const lengths = { length: "size", width: 12, radius: "size / 2", outer: "size", inner: 5, height: 9 };
  fc.assert(
    fc.property(fc.constantFrom(...kinds), fc.constantFrom(...kinds), (from, to) => {
      const fields = MOTIFS.find(({ kind }) => kind === from)?.fields ?? {};
      const own = Object.entries(lengths).filter(([name]) => name in fields);
      const design = designOf({ kind: from, ...Object.fromEntries(own) });
      const next = applyEdit(design, changeMotif(design, "a", to));
      expect(next.parts[0]?.motif.kind).toBe(to);
      expect(readDesign(toFile(next)).problems).toEqual([]);
    }),
  );
});

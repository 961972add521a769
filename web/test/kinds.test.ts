/// <reference types="node" />
import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, test } from "@jest/globals";
import { EFFECTS, FILLS, FORMATS, FORMS, GUIDES, JOINS, MOTIFS, RULES } from "@twin-petal/core";
import { EFFECT_LABELS } from "@/desk/column/finish/effects/list";
import { FILL_LABELS } from "@/desk/column/finish/fills/list";
import { GUIDE_LABELS } from "@/desk/column/guides/list";
import { JOIN_LABELS } from "@/desk/column/join/ways/list";
import { MADE_MOTIFS } from "@/desk/column/motif/made/list";
import { FORM_LABELS } from "@/desk/column/solid/forms/list";
import { MOTIF_SENTENCES } from "@/desk/sentences/motifSentences";
import { RULE_LABELS } from "@/desk/sentences/list";
import { FORMAT_LABELS } from "@/desk/strips/formatLabels";

const made = MOTIFS.filter(({ origin, kind }) => origin === "made" && kind !== "compound");

/** Everything that comes in kinds: its definitions, its words, and the folders in which both have one file a kind. */
type Kinds = readonly { readonly kind: string }[];
const LISTS: readonly (readonly [string, Kinds, Kinds, string])[] = [
  ["joins", JOINS, JOIN_LABELS, "join/ways"],
  ["fills", FILLS, FILL_LABELS, "finish/fills"],
  ["effects", EFFECTS, EFFECT_LABELS, "finish/effects"],
  ["made motifs", made, MADE_MOTIFS, "motif/made"],
  ["forms", FORMS, FORM_LABELS, "solid/forms"],
  ["guides", GUIDES, GUIDE_LABELS, "guides"],
];

const kindsOf = (list: Kinds) => list.map(({ kind }) => kind).sort();

describe("adding a kind is one file in the core, one of words, and a line in each list", () => {
  test.each(LISTS)("%s: every definition has its words, and no words are without one", (_, definitions, labels) => {
    expect(kindsOf(labels)).toEqual(kindsOf(definitions));
    expect(new Set(kindsOf(definitions)).size).toBe(definitions.length);
  });

  test.each(LISTS.slice(0, 5))(
    "%s: the words of each kind stand in a file of its name",
    (_, definitions, __, folder) => {
      const files = readdirSync(`web/src/desk/column/${folder}`);
      for (const { kind } of definitions) expect(files.some((file) => file.startsWith(`${kind}.`))).toBe(true);
    },
  );

  test("every motif, rule and format has its words", () => {
    const sentences = new Set([...Object.keys(MOTIF_SENTENCES), ...MADE_MOTIFS.map(({ kind }) => kind), "compound"]);
    expect([...MOTIFS.map(({ kind }) => kind)].filter((kind) => !sentences.has(kind))).toEqual([]);
    expect(Object.keys(RULE_LABELS).sort()).toEqual(RULES.map(({ kind }) => kind).sort());
    expect(Object.keys(FORMAT_LABELS).sort()).toEqual(FORMATS.map(({ extension }) => extension).sort());
  });

  test("no other file of the interface names a kind of fill or effect to tell it from others", () => {
    const named = /\.kind === "(cycle|ramp|linear|radial|pools)"|=== "(shadow|glow|innerShadow|grain|texture)"/;
    const found = sourcesBelow("web/src").filter(({ text }) => named.test(text));
    // A gradient laid over a box is a line or a circle, whatever fill it comes from.
    expect(found.map(({ path }) => path)).toEqual([expect.stringContaining("paint/placedStyle.ts")]);
  });
});

function sourcesBelow(folder: string): { path: string; text: string }[] {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name))
    .map((entry) => {
      const path = `${entry.parentPath}/${entry.name}`;
      return { path, text: readFileSync(path, "utf8") };
    });
}

import { CUT_FIELDS } from "../../core/src/design/cutFields";
import { MAKING } from "../../core/src/design/makingFields";
import { EFFECTS } from "../../core/src/finish/effects/list";
import { LINE } from "../../core/src/finish/line/lineFields";
import { FINISH } from "../../core/src/finish/finishFields";
import { SOLID_FIELDS } from "../../core/src/form/solidFields";
import { JOIN } from "../../core/src/join/joinFields";
import { MOTIFS } from "../../core/src/motif/list";
import { RULES } from "../../core/src/rules/list";
import { pick, upTo, type Random } from "../mutate/pick";
import { valuesWithin } from "./withinLimits";

/** Paints of one colour, of several in turn, and of one that goes into another. */
const FILLS: readonly unknown[] = [
  "#1E6F5C",
  null,
  { kind: "cycle", colors: ["#1E6F5C", "#C8442B"], by: "index" },
  {
    kind: "linear",
    angle: 30,
    stops: [
      { at: 0, color: "#112233" },
      { at: 1, color: "#AABBCC" },
    ],
    over: "whole",
  },
  {
    kind: "radial",
    stops: [
      { at: 0, color: "#112233" },
      { at: 1, color: "#AABBCC80" },
    ],
    over: "copy",
  },
];

/** Kinds whose content is more than numbers and words, as they are where nothing is said of it. */
const MOTIFS_OF: Readonly<Record<string, object>> = {
  part: { part: "other" },
  compound: { of: [{ kind: "star" }, { kind: "disc", radius: 4 }] },
  svg: { source: { width: 60, height: 50, shapes: [{ d: "M0 0C30 -10 40 20 60 0L30 50Z", fill: "#C8442B" }] } },
};

/** A design of one or two parts, of any kinds, with any numbers within their limits. */
export function designWithin(random: Random): string {
  const other = partWithin("other", "", random);
  const part = partWithin("a", "other", random);
  const sheet = { width: sideOfSheet(random), height: sideOfSheet(random) };
  const making = random() < 0.6 ? valuesWithin(MAKING.fields, random, 0.7) : {};
  return JSON.stringify({ format: "twin-petal/1", sheet, making, parts: [other, part] });
}

const sideOfSheet = (random: Random) => pick([1, 10, 100, 200, 200, 400, 1_000, 5_000, 10_000], random);

function partWithin(id: string, other: string, random: Random): object {
  const rules = Array.from({ length: upTo(3, random) }, () => ruleWithin(other, random));
  const kinds = other === "" ? MOTIFS.filter(({ kind }) => kind !== "part") : MOTIFS;
  const { kind, fields } = pick(kinds, random);
  const names =
    other === "" ? {} : { ...(random() < 0.15 && { cutBy: [other] }), ...(random() < 0.1 && { inside: other }) };
  return {
    id,
    role: random() < 0.9 ? "show" : "tool",
    motif: { kind, ...MOTIFS_OF[kind], ...valuesWithin(fields, random) },
    rules,
    join: { ...(random() < 0.5 && valuesWithin(JOIN.fields, random, 0.4)), ...names },
    finish: finishWithin(random),
    ...(random() < 0.3 && { solid: { depth: 3, ...valuesWithin(SOLID_FIELDS, random) } }),
    ...(random() < 0.3 && { cut: valuesWithin(CUT_FIELDS, random) }),
  };
}

/** What rules say of other parts is said of the one there is, or of the sheet. */
function ruleWithin(other: string, random: Random): object {
  const { kind, fields, first } = pick(RULES, random);
  const named = Object.fromEntries(
    Object.entries(fields).flatMap(([name, { type }]) =>
      type === "part" && random() < 0.4 ? [[name, random() < 0.5 || other === "" ? "sheet" : other] as const] : [],
    ),
  );
  return { kind, ...first, ...valuesWithin(fields, random), ...named };
}

function finishWithin(random: Random): object {
  const effects = EFFECTS.flatMap(({ kind, fields }) =>
    random() < 0.08 ? [[kind, valuesWithin(fields, random)] as const] : [],
  );
  return {
    ...(random() < 0.5 && valuesWithin(FINISH.fields, random, 0.2)),
    ...Object.fromEntries(effects),
    fill: pick(FILLS, random),
    ...(random() < 0.5 && { line: { ...valuesWithin(LINE.fields, random), ...dashes(random) } }),
  };
}

function dashes(random: Random): object {
  const size = 10 ** (3 * random() - 2);
  return pick([{}, {}, { dash: [size, size] }, { dots: { gap: size } }], random);
}

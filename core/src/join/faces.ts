import { asLine } from "./outlinesAsLines";
import { at } from "../geometry/at";
import { choice } from "../fields/choice";
import { color } from "../fields/color";
import type { ResolvedOf } from "../fields/field";
import { given } from "../fields/given";
import { list } from "../fields/list";
import { MOST_BY_HAND, MOST_COLORS, MOST_FACED } from "../fields/most";
import { nullable, orNone } from "../fields/nullable";
import { number } from "../fields/number";
import { record } from "../fields/record";
import { text } from "../fields/text";
import { fill } from "../finish/fills/fill";
import { changesWithin, colorsOfPaint, facePainting, type FacePainting, type Paint } from "../finish/paint";
import { arrange, type Face } from "../geometry/arrangement/arrange";
import { withoutDoubled } from "../geometry/arrangement/lines";
import { copyOutlines } from "../rules/copyOutlines";
import type { Shape } from "../rules/shape";
import { defineJoin, type JoinAsked } from "./definition";
import type { Composed, JoinedCopies } from "./joined";
import { withinLimits } from "./joinLimits";
import { lostColors } from "./lostColors";
import { closing, openingsOf } from "./openings";
import { numbersAround, orbitsOf } from "./orbits";
import { filled, lined } from "./pieces";
import { inPlace } from "./inPlace";
import { isArea } from "./whole";

/** What gives a face its colour: which faces the rules carry onto it, how many copies cover it, or its neighbours. */
export const FACE_PAINTS = ["orbit", "depth", "alternate"] as const;
/** What gives a face its colour. */
export type FacePaint = (typeof FACE_PAINTS)[number];

/** A face with a colour of its own, by its orbit and its number around it: "3.0"; null leaves it hollow. */
const OWN = record({ face: given(text("", 40)), color: nullable(color()) });

const FIELDS = {
  /** What the colours of faces go by. */
  paint: choice(FACE_PAINTS, "orbit"),
  /** Those that differ from their orbit. */
  own: list(OWN, { most: MOST_BY_HAND }),
  /** Fills in turn by orbit, depth or group; null leaves one hollow. The fill's colours where none are given. */
  colors: list(orNone(fill("#000000")), { most: MOST_COLORS }),
  /** Lines that end no farther than this before another are led up to it. Millimetres. */
  close: number("length", 0, { min: 0, max: 1_000, step: 0.1 }),
};

type FacesValues = ResolvedOf<typeof FIELDS>;

/** Copies split into closed regions where they cross. */
export const faces = defineJoin({
  kind: "faces",
  fields: FIELDS,
  takesOffset: false,
  takesOthers: true,
  most: () => MOST_FACED,
  geometryKey: ({ paint, close }) => [paint, close],
  join: inFaces,
  fill: eachFace,
});

/** A paint for each face: those of the join in turn, or the fill's where the join names none. */
function eachFace(
  { colors, own }: FacesValues,
  fill: Paint | null,
  { colorOf, faceOf }: Pick<JoinedCopies, "colorOf" | "faceOf">,
): Paint | null {
  if (!colorOf) return fill;
  const paints = colors.length > 0 ? colors.map((paint) => paint && facePainting(paint)) : paintsIn(fill);
  const byHand = new Map(own.map(({ face, color }) => [face, color === null ? null : flat(color)]));
  const each = Array.from(colorOf, (color, shape) => {
    const name = faceOf?.[shape] ?? "";
    return byHand.has(name) ? (byHand.get(name) ?? null) : (paints[color % Math.max(1, paints.length)] ?? null);
  });
  return { kind: "each", paints: each };
}

const flat = (color: string): FacePainting => ({ kind: "flat", color });

/** A fill's colours one by one; colours that change within a face as they are. */
function paintsIn(fill: Paint | null): readonly (FacePainting | null)[] {
  if (!fill) return [];
  if (fill.kind === "each") return fill.paints;
  return fill.kind === "flat" || changesWithin(fill) ? [fill] : colorsOfPaint(fill).map(flat);
}

/** The closed regions of all outlines, each coloured by itself; lines drawn once over them. */
function inFaces(composed: Composed, { paint, close }: FacesValues, asked: JoinAsked): JoinedCopies {
  const { limits } = asked;
  const drawn = [...copyOutlines(composed), ...asked.others];
  const openings = openingsOf(drawn);
  const closed = openings.filter(({ width }) => width <= close).map((opening) => [closing(opening)]);
  const outlines = [...drawn, ...closed];
  // What keeps also bounds: faces end at its edge.
  const bounding = limits.kept ? [...outlines, limits.kept.path] : outlines;
  const keeper = limits.kept ? outlines.length : -1;
  const isKept = (covering: readonly number[]) => keeper < 0 || covering.includes(keeper);
  const coverers = (covering: readonly number[]) => covering.filter((source) => source !== keeper).length;
  const lineArt = outlines.every((path) => isArea(path).length === 0);
  const { faces } = arrange(bounding, (covering) => isKept(covering) && (lineArt || coverers(covering) > 0));
  // A region between copies that none of them covers stays hollow, unless only lines bound it.
  const shown = faces.filter(({ covering }) => isKept(covering) && (lineArt || coverers(covering) > 0));
  const orbits = orbitsOf(shown, composed.placements, asked.centre);
  const around = numbersAround(shown, orbits, asked.centre);
  const numberOf = (face: Face, orbit: number) => {
    if (paint === "depth") return Math.max(0, coverers(face.covering) - 1);
    return paint === "alternate" ? face.group : orbit;
  };
  const cut = { taken: limits.taken, kept: null };
  const colored = shown.map((face, index) => {
    const orbit = at(orbits, index);
    const name = `${orbit}.${at(around, index)}`;
    return { path: withinLimits(face.outline, cut), color: numberOf(face, orbit), name };
  });
  const lines = withoutDoubled(outlines).flatMap((line) => withinLimits(line.map(asLine), limits));
  const shapes: Shape[] = [
    ...colored.map(({ path }) => ({ path, pieces: [filled(path)] })),
    { path: lines, pieces: [lined(lines)] },
  ];
  return {
    shapes,
    placements: inPlace(shapes.length),
    sizes: null,
    colorOf: Int32Array.from([...colored.map(({ color }) => color), 0]),
    faceOf: [...colored.map(({ name }) => name), null],
    crossings: null,
    openings: openings.filter(({ width }) => width > close),
    notes: lostColors(composed.shapes),
  };
}

import { softShadesOf } from "../../finish/effects/softShades";
import { EFFECTS } from "../../finish/effects/list";
import { pictureWords, type Paint } from "../../finish/paint";
import { groundPart } from "../../scene/groundPart";
import { madeLayers } from "../../scene/made";
import type { FlatFormat } from "../format";
import type { Subject } from "../subject";
import type { Design } from "../../design/design";
import { resolveDesign } from "../../design/resolve";
import type { PartScene, Scene } from "../../scene/scene";
import type { Size } from "../../geometry/size";

type Finish = Pick<PartScene["finish"], "effects" | "fill" | "line">;

/** Whether a format says soft shades in its own words. */
type Says = Pick<FlatFormat, "saysShades">;

function effectsIn(finishes: readonly Finish[], { saysShades = false }: Says): string[] {
  const effects = finishes.map((finish) => (saysShades ? softShadesOf(finish.effects).rest : finish.effects));
  return EFFECTS.flatMap(({ kind, pictured }) => (effects.some((own) => own[kind]) ? [pictured] : []));
}

/** Whether a vector file needs images for what lies under or over some paint. */
export function hasEffectImages({ scene }: Subject): boolean {
  return effectsIn(finishesOf(scene), {}).length > 0;
}

/** The same for one that says soft shades in its own words. */
export function hasRestImages({ scene }: Subject): boolean {
  return effectsIn(finishesOf(scene), { saysShades: true }).length > 0;
}

function finishesOf(scene: Scene): Finish[] {
  return madeLayers(scene).map(({ finish }) => finish);
}

/** What a vector file says with images, in words; empty where it says all with vectors. */
export function imagesWithin({ scene }: Subject, dpi: number, says: Says = {}): readonly string[] {
  const said = imageWords(finishesOf(scene), dpi, says);
  return said.length === 0 ? [] : [`some of it is put in as images: ${said.join("; ")}`];
}

/** What of a design a vector file can only say with images, in words, before anything is computed. */
export function imagesOfDesign(design: Design, dpiOn: (sheet: Size) => number, says: Says = {}): readonly string[] {
  const { parts, sheet } = resolveDesign(design);
  const made = parts.filter(({ visible, role }) => visible && role === "show");
  const ground = groundPart(sheet);
  return imageWords([...(ground ? [ground.finish] : []), ...made.map(({ finish }) => finish)], dpiOn(sheet), says);
}

function imageWords(finishes: readonly Finish[], dpi: number, says: Says): string[] {
  const paints = finishes.flatMap(({ fill, line }) => [fill, line?.paint ?? null]);
  const effects = effectsIn(finishes, says);
  return [
    ...(effects.length > 0 ? [`${effects.join(", ")} at ${dpi} dots an inch`] : []),
    ...new Set(paints.flatMap((paint: Paint | null) => (paint ? pictureWords(paint) : []))),
  ];
}

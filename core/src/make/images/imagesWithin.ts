import { EFFECTS } from "../../finish/effects/list";
import { pictureWords, type Paint } from "../../finish/paint";
import { madeLayers } from "../../scene/made";
import type { Subject } from "../subject";
import type { Design } from "../../design/design";
import { resolveDesign } from "../../design/resolve";
import type { PartScene, Scene } from "../../scene/scene";
import type { Size } from "../../geometry/size";

type Finish = Pick<PartScene["finish"], "effects" | "fill" | "line">;

function effectsIn(finishes: readonly Finish[]): string[] {
  const effects = finishes.map((finish) => finish.effects);
  return EFFECTS.flatMap(({ kind, pictured }) => (effects.some((own) => own[kind]) ? [pictured] : []));
}

/** Whether a vector file needs images for what lies under or over some paint. */
export function hasEffectImages({ scene }: Subject): boolean {
  return effectsIn(finishesOf(scene)).length > 0;
}

function finishesOf(scene: Scene): Finish[] {
  return madeLayers(scene).map(({ finish }) => finish);
}

/** What a vector file says with images, in words; empty where it says all with vectors. */
export function imagesWithin({ scene }: Subject, dpi: number): readonly string[] {
  const said = imageWords(finishesOf(scene), dpi);
  return said.length === 0 ? [] : [`some of it is put in as images: ${said.join("; ")}`];
}

/** What of a design a vector file can only say with images, in words, before anything is computed. */
export function imagesOfDesign(design: Design, dpiOn: (sheet: Size) => number): readonly string[] {
  const { parts, sheet } = resolveDesign(design);
  const made = parts.filter(({ visible, role }) => visible && role === "show");
  return imageWords(
    made.map(({ finish }) => finish),
    dpiOn(sheet),
  );
}

function imageWords(finishes: readonly Finish[], dpi: number): string[] {
  const paints = finishes.flatMap(({ fill, line }) => [fill, line?.paint ?? null]);
  const effects = effectsIn(finishes);
  return [
    ...(effects.length > 0 ? [`${effects.join(", ")} at ${dpi} dots an inch`] : []),
    ...new Set(paints.flatMap((paint: Paint | null) => (paint ? pictureWords(paint) : []))),
  ];
}

import { EFFECTS } from "../../finish/effects/list";
import { pictureWords, type Paint } from "../../finish/paint";
import { madeLayers } from "../../scene/made";
import type { Subject } from "../subject";
import { IMAGE_DPI } from "./effectImages";

function effectsIn({ scene }: Subject): string[] {
  const effects = madeLayers(scene).map(({ finish }) => finish.effects);
  return EFFECTS.flatMap(({ kind, pictured }) => (effects.some((own) => own[kind]) ? [pictured] : []));
}

/** Whether a vector file needs images for what lies under or over some paint. */
export function hasEffectImages(subject: Subject): boolean {
  return effectsIn(subject).length > 0;
}

/** What a vector file says with images, in words; empty where it says all with vectors. */
export function imagesWithin(subject: Subject): readonly string[] {
  const paints = madeLayers(subject.scene).flatMap(({ finish: { fill, line } }) => [fill, line?.paint ?? null]);
  const effects = effectsIn(subject);
  const said = [
    ...(effects.length > 0 ? [`${effects.join(", ")} at ${IMAGE_DPI} dots an inch`] : []),
    ...new Set(paints.flatMap((paint: Paint | null) => (paint ? pictureWords(paint) : []))),
  ];
  return said.length === 0 ? [] : [`some of it is put in as images: ${said.join("; ")}`];
}

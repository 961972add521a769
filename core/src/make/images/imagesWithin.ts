import type { Design, Finish } from "../../design/design";
import { EFFECT_DEFAULTS } from "../../design/defaults";
import { POOL_PIXELS } from "../../finish/pools";
import { IMAGE_DPI } from "./effectImages";

const EFFECT_WORDS: Readonly<Record<string, string>> = {
  shadow: "shadows",
  innerShadow: "inner shadows",
  glow: "glows",
  grain: "grain",
  texture: "facets",
};

function shownFinishes({ parts }: Design): Finish[] {
  return parts.flatMap(({ visible, role, finish }) => (visible && role === "show" ? [finish] : []));
}

function effectsIn(design: Design): string[] {
  const finishes = shownFinishes(design);
  const used = Object.keys(EFFECT_DEFAULTS).filter((name) => finishes.some((finish) => Reflect.get(finish, name)));
  return used.map((name) => EFFECT_WORDS[name] ?? name);
}

/** Whether a vector file of the design needs images for what lies under or over its paint. */
export function hasEffectImages(design: Design): boolean {
  return effectsIn(design).length > 0;
}

/** What a vector file of the design says with images, in words; null where it says all with vectors. */
export function imagesWithin(design: Design): string | null {
  const isPools = (paint: Finish["fill"] | undefined) => typeof paint === "object" && paint?.kind === "pools";
  const pools =
    isPools(design.sheet.ground) ||
    shownFinishes(design).some(({ fill, line }) => isPools(fill) || isPools(line?.paint));
  const effects = effectsIn(design);
  const told = [
    ...(effects.length > 0 ? [`${effects.join(", ")} at ${IMAGE_DPI} dots an inch`] : []),
    ...(pools ? [`pools of colour at ${POOL_PIXELS} dots on their longer side`] : []),
  ];
  return told.length === 0 ? null : `some of it is put in as images: ${told.join("; ")}`;
}

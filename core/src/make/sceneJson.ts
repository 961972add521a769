import { boxOfGeometry } from "../scene/boxOfGeometry";
import { madeParts } from "../scene/made";
import type { Scene } from "../scene/scene";
import { lineOutline } from "../join/pieces";
import type { FlatFormat } from "./format";
import { pathData } from "../geometry/pathData";
import { matrixAt } from "../rules/placements";

/** The computed scene as JSON: for each part its copies' matrices in order, and the box of them all. */
export function makeSceneJson(scene: Scene): string {
  const parts = madeParts(scene).map(({ id, geometry }) => {
    const { count, matrices } = geometry.copies.placements;
    const { left, top, right, bottom } = boxOfGeometry(geometry);
    const box =
      count === 0 || geometry.shapes.every(({ path }) => path.length === 0) ? null : { left, top, right, bottom };
    return {
      id,
      motifs: count,
      copies: Array.from({ length: count }, (_, copy) => matrixAt(matrices, copy)),
      box,
      ...(geometry.joined && { outlines: geometry.shapes.map((shape) => pathData(lineOutline(shape))) }),
    };
  });
  return `${JSON.stringify({ sheet: scene.sheet, parts })}\n`;
}

/** Every copy's place, as numbers. */
export const sceneJson: FlatFormat = {
  extension: "scene.json",
  mediaType: "application/json",
  kind: "data",
  options: ["tolerance"],
  make: ({ scene }) => makeSceneJson(scene),
};

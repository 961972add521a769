import { dpiWithinXml } from "../finish/dpiWithin";
import type { Design } from "../design/design";
import { RULES } from "../rules/list";
import { changesWithin } from "../finish/paint";
import type { FlatFormat } from "./format";
import { hasRestImages } from "./images/imagesWithin";
import { secondsFor } from "./makingSeconds";
import { pictureSeconds } from "./pictureSeconds";
import { drawnSizeOfScene } from "../scene/drawnSize";
import type { Subject } from "./subject";
import type { Box } from "../geometry/box";
import { pixelsOf, pngOfScene, tooManyPixels } from "./png";
import { SVG_SECONDS, svgOfScene } from "./svg/svg";
import { tileOfScene, type Tile } from "./tile";
import { tilePixels } from "./tilePixels";

/** Why there is no tile of a scene. */
function noTile(reasons: readonly string[]): string {
  const none = "no part of this design repeats without a seam: give one a grid, or a border that runs level";
  return [none, ...reasons].join("; ");
}

function tileOf({ scene }: Subject): Tile | string {
  const tile = tileOfScene(scene);
  return "frame" in tile ? tile : noTile(tile);
}

function tileIn(subject: Subject): Tile {
  const tile = tileOf(subject);
  if (typeof tile === "string") throw new Error(tile);
  return tile;
}

function changed(subject: Subject): readonly string[] {
  const { leftOut } = tileIn(subject);
  const { ground, grain } = subject.scene.sheet;
  return [
    ...(leftOut.length > 0 ? [`left out, as it does not repeat in the tile: ${leftOut.join("; ")}`] : []),
    ...(ground && changesWithin(ground)
      ? ["the ground changes over the sheet; in the tile it has its middle colour"]
      : []),
    ...(ground && grain ? ["the ground's grain would show a seam, and is left out"] : []),
  ];
}

function isRepeated({ parts }: Design): boolean {
  return parts.some(({ rules }) => rules.some(({ kind, on }) => on && ENDLESS.has(kind)));
}

/** Rules that go on for ever. */
const ENDLESS = new Set(RULES.flatMap(({ kind, isEndless }) => (isEndless ? [kind] : [])));

const refusalOf = (tile: Tile | string) => (typeof tile === "string" ? tile : null);

/** The seamless tile as vectors at real size. */
export const tileSvg: FlatFormat = {
  extension: "tile.svg",
  mediaType: "image/svg+xml",
  kind: "drawing",
  options: ["dpi", "lineArt"],
  imageDpi: dpiWithinXml,
  saysShades: true,
  needsRasteriser: hasRestImages,
  offered: isRepeated,
  refuses: (subject) => refusalOf(tileOf(subject)),
  notes: changed,
  seconds: (_, subject) => secondsFor(drawnSizeOfScene(tileIn(subject).scene), SVG_SECONDS),
  make(subject, { dpi }) {
    const { scene, frame } = tileIn(subject);
    const { name, sheet } = subject.design;
    return svgOfScene(scene, {
      title: name,
      unit: sheet.unit,
      embed: null,
      imageDpi: dpiWithinXml(scene.sheet, dpi),
      frame,
      filters: true,
    });
  },
};

const pixelsIn = ({ left, top, right, bottom }: Box, dpi: number) => tilePixels(right - left, bottom - top, dpi);

/** Says at which resolution a tile is whole pixels each way, where that is another than was asked for. */
function otherResolution({ frame }: Tile, dpi: number): readonly string[] {
  const { width, height, dpi: own } = pixelsIn(frame, dpi);
  if (width === pixelsOf(frame.right - frame.left, dpi)) return [];
  return [
    `made at ${own.toFixed(1)} dots an inch, ${width} by ${height} pixels, so that both sides are whole and keep their proportion`,
  ];
}

/** The seamless tile as a picture: a whole number of pixels each way, so that it repeats without a seam. */
export const tilePng: FlatFormat = {
  extension: "tile.png",
  mediaType: "image/png",
  kind: "picture",
  options: ["dpi", "lineArt"],
  offered: isRepeated,
  needsRasteriser: () => true,
  refuses(subject, { dpi }) {
    const tile = tileOf(subject);
    if (typeof tile === "string") return tile;
    const { left, top, right, bottom } = tile.frame;
    return tooManyPixels({ width: right - left, height: bottom - top }, dpi);
  },
  seconds: (_, subject, { dpi }) => {
    const { scene, frame } = tileIn(subject);
    return pictureSeconds(scene, pixelsIn(frame, dpi).width);
  },
  notes: (subject, { dpi }) => [...changed(subject), ...otherResolution(tileIn(subject), dpi)],
  make(subject, { dpi }) {
    const { scene, frame } = tileIn(subject);
    return pngOfScene(scene, frame, pixelsIn(frame, dpi).width);
  },
};

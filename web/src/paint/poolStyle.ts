import {
  boxOfGeometry,
  boxOfPath,
  IDENTITY,
  invert,
  matrixAt,
  multiply,
  poolsRaster,
  reachOfLine,
  type Box,
  type Matrix,
  type PartScene,
  type Pools,
} from "@twin-petal/core";

type Context = OffscreenCanvasRenderingContext2D;
type Painted = Pick<PartScene["geometry"], "shapes" | "placements">;

/** A picture of pools and the box it covers. */
interface Pooled {
  readonly canvas: OffscreenCanvas;
  readonly box: Box;
}

/** A function from a copy to its pools in the copy's own space: one picture for each outline, or the whole's carried back. */
export function poolStyles(pools: Pools, { shapes, placements }: Painted, part: PartScene) {
  const { line } = part.finish;
  const reach = line?.paint === pools ? reachOfLine(line) : 0;
  const known = new Map<number, Pooled>();
  const pictureOf = (key: number, box: () => Box): Pooled => {
    const picture = known.get(key) ?? pictured(pools, box(), reach);
    known.set(key, picture);
    return picture;
  };
  return (context: Context, copy: number): CanvasPattern | string => {
    if (pools.over === "whole") {
      const back = invert(matrixAt(placements.matrices, copy));
      return back
        ? patternOf(
            context,
            pictureOf(-1, () => boxOfGeometry(part.geometry)),
            back,
          )
        : "#00000000";
    }
    const shape = placements.shapeOf?.[copy] ?? 0;
    return patternOf(
      context,
      pictureOf(shape, () => boxOfPath(shapes[shape]?.path ?? [])),
      IDENTITY,
    );
  };
}

function pictured(pools: Pools, over: Box, reach: number): Pooled {
  const { raster, box } = poolsRaster(pools, over, reach);
  const { width, height, data } = raster;
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext("2d")?.putImageData(new ImageData(data, width, height), 0, 0);
  return { canvas, box };
}

function patternOf(context: Context, { canvas, box }: Pooled, back: Matrix): CanvasPattern | string {
  const pattern = context.createPattern(canvas, "repeat");
  if (!pattern) return "#00000000";
  const { left, top, right, bottom } = box;
  const placed: Matrix = [(right - left) / canvas.width, 0, 0, (bottom - top) / canvas.height, left, top];
  const [a, b, c, d, e, f] = multiply(back, placed);
  pattern.setTransform({ a, b, c, d, e, f });
  return pattern;
}

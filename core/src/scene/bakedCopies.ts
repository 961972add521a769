import { MOST_NODES, MOST_RUNS, MOST_SHAPES } from "../design/most";
import type { Motif } from "../design/design";
import type { SvgShapeValue } from "../design/structures";
import { isEmpty } from "../geometry/box";
import { IDENTITY, translation } from "../geometry/matrix";
import { boxOfPath, transformPath, type Path } from "../geometry/path";
import { pathData } from "../make/pathData";
import { drawnOfPath } from "../motif/drawn/drawnPath";
import { toDrawnValues } from "../motif/drawn/nodes";
import { pieceOutline, type Piece } from "../motif/drawing";
import { matrixAt } from "../rules/placements";
import { RuleTrouble } from "../rules/ruleTrouble";
import type { PartScene } from "./scene";
import { wholePart } from "./wholePart";

/**
 * A part's copies, joined as they are, as one motif that needs no rules: drawn outlines where one finish paints all,
 * a picture with colours of its own where copies differ. On the sheet, millimetres. Throws a RuleTrouble when it
 * would be too large.
 */
export function bakedCopies(part: PartScene): Motif {
  return isOneFinish(part) ? drawnCopies(part) : picturedCopies(part);
}

function isOneFinish({ geometry, finish }: PartScene): boolean {
  const isFlat = (kind: string | undefined) =>
    kind === undefined || kind === "flat" || kind === "linear" || kind === "radial";
  const flat = isFlat(finish.fill?.kind) && isFlat(finish.line?.paint.kind);
  const { shapes, placements } = geometry;
  return flat && placements.opacity === null && shapes.every(({ pieces }) => pieces === null);
}

function drawnCopies({ geometry: { shapes, placements } }: PartScene): Motif {
  const path: Path = Array.from({ length: placements.count }, (_, copy) =>
    transformPath(shapes[placements.shapeOf?.[copy] ?? 0]?.path ?? [], matrixAt(placements.matrices, copy)),
  ).flat();
  const paths = drawnOfPath(path);
  const nodes = paths.reduce((most, run) => Math.max(most, run.nodes.length), 0);
  if (paths.length > MOST_RUNS || nodes > MOST_NODES) throw tooLarge(paths.length, MOST_RUNS);
  return { kind: "drawn", paths: toDrawnValues(paths) };
}

function picturedCopies(part: PartScene): Motif {
  const { pieces, path } = wholePart(part, IDENTITY);
  const box = boxOfPath(path);
  if (!pieces || isEmpty(box)) return { kind: "drawn", paths: [] };
  if (pieces.length > MOST_SHAPES) throw tooLarge(pieces.length, MOST_SHAPES);
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  const back = translation(-middle.x, -middle.y);
  return {
    kind: "svg",
    source: {
      width: Math.max(0.001, box.right - box.left),
      height: Math.max(0.001, box.bottom - box.top),
      shapes: pieces.map((piece) => shapeOf(piece, transformPath(pieceOutline(piece), back))),
    },
    at: middle,
  };
}

function shapeOf({ fill, fillRule, line, opacity }: Piece, path: Path): SvgShapeValue {
  const color = (paint: Piece["fill"]) => (typeof paint === "object" && paint && "own" in paint ? paint.own : null);
  const stroke = line && color(line.paint);
  return {
    d: pathData(path),
    fill: color(fill),
    ...(fillRule === "evenodd" && { rule: fillRule }),
    ...(line &&
      stroke &&
      line.width > 0 && {
        line: { color: stroke, width: line.width, cap: line.cap, join: line.join, dash: line.dash },
      }),
    ...(opacity < 1 && { opacity }),
  };
}

function tooLarge(count: number, most: number): RuleTrouble {
  const told = `would be ${count.toLocaleString("en")} outlines; at most ${most.toLocaleString("en")} can be baked: lower a count`;
  return new RuleTrouble("rules", told);
}

import { CUT_WAYS, type CutWay } from "../../design/cutFields";
import { arcsOf } from "../../geometry/arcsOf";
import { isStraight, type Cubic } from "../../geometry/cubic";
import { segmentsOf } from "../../geometry/path";
import type { Point } from "../../geometry/point";
import type { CutFormat, CutSubject } from "../format";
import { beyondFrame } from "./beyondFrame";

/** A curve this near to an arc is written as one, millimetres. */
const ARC_WITHIN = 0.0005;
/** Knots of a cubic curve by itself. */
const KNOTS = [0, 0, 0, 0, 1, 1, 1, 1];
/** The numbers of colours in the format: red, yellow, blue, green. */
const COLORS: Readonly<Record<CutWay, number>> = { cut: 1, score: 2, engrave: 5, draw: 3 };

/** The lines of the cut: straight ones, true arcs and true curves, a layer for each way; y up, from the frame's lower left corner. */
export async function makeDxf({ plan }: CutSubject): Promise<string> {
  const { DxfWriter, point3d, Units, SplineFlags } = await import("@tarikjabiri/dxf");
  const { width, height } = plan.settings.frame;
  const place = ({ x, y }: Point) => point3d(x + width / 2, height / 2 - y);
  const writer = new DxfWriter();
  writer.setUnits(Units.Millimeters);
  for (const way of CUT_WAYS) {
    const runs = plan.strokes.filter(({ as }) => as === way).flatMap((stroke) => stroke.runs);
    if (runs.length === 0) continue;
    writer.addLayer(way, COLORS[way], "CONTINUOUS");
    writer.setCurrentLayerName(way);
    for (const cubic of runs.flatMap(segmentsOf)) draw(cubic);
  }
  return writer.stringify();

  function draw(cubic: Cubic): void {
    const [start, , , end] = cubic;
    if (isStraight(cubic)) {
      writer.addLine(place(start), place(end));
      return;
    }
    const [arc, ...others] = arcsOf([cubic], ARC_WITHIN);
    if (others.length > 0 || !arc?.centre) {
      writer.addSpline({ controlPoints: cubic.map(place), degreeCurve: 3, knots: KNOTS, flags: SplineFlags.Planar });
      return;
    }
    const { centre, clockwise } = arc;
    const angle = ({ x, y }: Point) => (Math.atan2(centre.y - y, x - centre.x) * 180) / Math.PI;
    // Arcs of the format run counter-clockwise.
    const [from, to] = clockwise ? [end, start] : [start, end];
    writer.addArc(place(centre), Math.hypot(start.x - centre.x, start.y - centre.y), angle(from), angle(to));
  }
}

/** The lines of the cut for other programs. */
export const dxf: CutFormat = {
  extension: "dxf",
  mediaType: "image/vnd.dxf",
  kind: "cut",
  options: [],
  notes: beyondFrame,
  make: makeDxf,
};

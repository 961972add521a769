import { unwaited } from "@/api/unwaited";
import { useEffect, useMemo, useState } from "react";
import { IDENTITY, invert, MILLIMETRES_PER, type Point } from "@twin-petal/core";
import { useDesign } from "@/store/deskStore";
import { usePicture } from "../pictureContext";
import { useSurface } from "../surface";
import { useWorkedOn } from "../useWorkedOn";
import { snap, type Snapped, type SnapPoint, type SnapTargets } from "./snap";
import { carriedTargets, guideTargets, markTargets, partTargets, sheetTargets } from "./targets";

const WITHIN_PIXELS = 9;
/** The grid draws the hand only where its lines are this far apart. */
const LEAST_GRID_PIXELS = 7;

/** The view rests this long before other parts are looked at, milliseconds. */
const REST = 120;

/** Draws points of the motif's own space to what is near; `own` are the motif's nodes and middles. */
export function useSnap(): (point: Point, own: readonly SnapPoint[], off: boolean) => Snapped {
  const { report } = usePicture("report");
  const workedOn = useWorkedOn();
  const others = useOtherParts(workedOn?.id ?? null);
  const { unit } = useDesign().sheet;
  const { scale } = useSurface();
  const targets = useMemo(() => {
    // What is drawn before there is a part is drawn in the sheet's own space.
    const back = workedOn ? invert(workedOn.working) : IDENTITY;
    if (!report || !back) return { points: [], lines: [] };
    const all = [
      sheetTargets(report.sheet),
      guideTargets(report.guides),
      markTargets(report.chosen?.marks ?? []),
      others,
    ];
    const onSheet = { points: all.flatMap(({ points }) => points), lines: all.flatMap(({ lines }) => lines) };
    return carriedTargets(onSheet, back);
  }, [report, workedOn, others]);
  const step = MILLIMETRES_PER[unit];
  return (point, own, off) => {
    if (off) return { point, words: null };
    const grid = step * scale >= LEAST_GRID_PIXELS ? { grid: step } : {};
    return snap(point, { ...targets, points: [...own, ...targets.points], ...grid }, WITHIN_PIXELS / scale);
  };
}

const NOTHING: SnapTargets = { points: [], lines: [] };

/** What the parts that are not worked on draw the hand to, asked anew when the picture or the view has changed. */
function useOtherParts(except: string | null): SnapTargets {
  const { painter, report, view, size } = usePicture("painter", "report", "view", "size");
  const [found, setFound] = useState(NOTHING);
  useEffect(() => {
    if (!view || !size) return;
    let wanted = true;
    const [across, down] = [size.width / 2 / view.scale, size.height / 2 / view.scale];
    const within = { left: view.x - across, right: view.x + across, top: view.y - down, bottom: view.y + down };
    const timer = window.setTimeout(() => {
      unwaited(painter.placesToSnap(except, within).then((places) => wanted && setFound(partTargets(places))));
    }, REST);
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [painter, except, report, view, size]);
  return found;
}

import { useMemo } from "react";
import { IDENTITY, invert, MILLIMETRES_PER, type Point } from "@twin-petal/core";
import { useDesign } from "@/store/deskStore";
import { usePicture } from "../pictureContext";
import { useSurface } from "../surface";
import { snap, type Snapped, type SnapPoint } from "./snap";
import { carriedTargets, guideTargets, markTargets, sheetTargets } from "./targets";

const WITHIN_PIXELS = 9;
/** The grid draws the hand only where its lines are this far apart. */
const LEAST_GRID_PIXELS = 7;

/** Draws points of the motif's own space to what is near; `own` are the motif's nodes and middles. */
export function useSnap(): (point: Point, own: readonly SnapPoint[], off: boolean) => Snapped {
  const { report } = usePicture();
  const { unit } = useDesign().sheet;
  const { scale } = useSurface();
  const targets = useMemo(() => {
    // What is drawn before there is a part is drawn in the sheet's own space.
    const back = report?.chosen ? invert(report.chosen.working) : IDENTITY;
    if (!report || !back) return { points: [], lines: [] };
    const all = [sheetTargets(report.sheet), guideTargets(report.guides), markTargets(report.chosen?.marks ?? [])];
    const onSheet = { points: all.flatMap(({ points }) => points), lines: all.flatMap(({ lines }) => lines) };
    return carriedTargets(onSheet, back);
  }, [report]);
  const step = MILLIMETRES_PER[unit];
  return (point, own, off) => {
    if (off) return { point, words: null };
    const grid = step * scale >= LEAST_GRID_PIXELS ? { grid: step } : {};
    return snap(point, { ...targets, points: [...own, ...targets.points], ...grid }, WITHIN_PIXELS / scale);
  };
}

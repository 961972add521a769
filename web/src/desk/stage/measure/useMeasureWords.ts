import { measured, MILLIMETRES_PER, type MeasuredCopy, type Point } from "@twin-petal/core";
import { useDesign } from "@/store/deskStore";

/** Six digits tell more than anyone can make. */
const tidy = (value: number) => Number(Number(value.toFixed(3)).toPrecision(6));

/** How measures are told: in the sheet's unit. */
export function useMeasureWords() {
  const { unit } = useDesign().sheet;
  const side = MILLIMETRES_PER[unit];
  const length = (millimetres: number) => `${tidy(millimetres / side)} ${unit}`;
  return {
    /** From one place to another: how far, in which direction, and how far across and down. */
    between(from: Point, to: Point): readonly [string, string] {
      const { distance, angle, across, down } = measured(from, to);
      return [
        `${length(distance)} at ${tidy(angle)}°`,
        `${length(Math.abs(across))} ${across < 0 ? "left" : "right"}, ${length(Math.abs(down))} ${down < 0 ? "up" : "down"}`,
      ];
    },
    /** What one copy measures. */
    ofCopy({ name, area, length: outline }: MeasuredCopy): readonly [string, string] {
      const line = `outline ${length(outline)}`;
      return [`“${name}”`, area > 0 ? `${tidy(area / side ** 2)} ${unit}², ${line}` : line];
    },
  };
}

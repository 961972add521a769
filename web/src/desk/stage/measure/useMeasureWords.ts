import { measured, MILLIMETRES_PER, type MeasuredCopy, type Point } from "@twin-petal/core";
import { useDesign } from "@/store/deskStore";

/** Six digits tell more than anyone can make. */
const tidy = (value: number) => Number(Number(value.toFixed(3)).toPrecision(6));

interface MeasureWords {
  /** From one place to another: how far and in which direction; how far across and down. */
  readonly between: (from: Point, to: Point) => readonly [string, string];
  /** What one copy measures: its name; its area and its outline. */
  readonly ofCopy: (copy: MeasuredCopy) => readonly [string, string];
}

/** How measures are told: in the sheet's unit. */
export function useMeasureWords(): MeasureWords {
  const { unit } = useDesign().sheet;
  const side = MILLIMETRES_PER[unit];
  const length = (millimetres: number) => `${tidy(millimetres / side)} ${unit}`;
  return {
    between: (from, to) => {
      const { distance, angle, across, down } = measured(from, to);
      const level = `${length(Math.abs(across))} ${across < 0 ? "left" : "right"}`;
      return [
        `${length(distance)} at ${tidy(angle)}°`,
        `${level}, ${length(Math.abs(down))} ${down < 0 ? "up" : "down"}`,
      ];
    },
    ofCopy: ({ name, area, length: outline }) => {
      const line = `outline ${length(outline)}`;
      return [`“${name}”`, area > 0 ? `${tidy(area / side ** 2)} ${unit}², ${line}` : line];
    },
  };
}

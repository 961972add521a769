import type { CutWay } from "../../design/cutFields";

/** A colour for each way, by which a program that opens the file tells what is to be done. */
export const WAY_COLORS: Readonly<Record<CutWay, string>> = {
  cut: "#C8442B",
  score: "#9A6B16",
  engrave: "#2B2140",
  draw: "#1E6F5C",
};

/** How wide lines are that stand for a cut, millimetres. */
export const HAIRLINE = 0.05;

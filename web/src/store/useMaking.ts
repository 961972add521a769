import { useMemo } from "react";
import { emptyDesign, resolveDesign, type Design, type ResolvedMaking, type ResolvedSheet } from "@twin-petal/core";

/** How a design is made, with numbers known; the same object while neither it nor the named numbers change. */
export function useMaking({ making, numbers }: Design): ResolvedMaking {
  return useMemo(() => resolveDesign({ ...emptyDesign(""), making, numbers }).making, [making, numbers]);
}

/** A design's sheet with numbers known, without its ground; the same object while neither it nor the named numbers change. */
export function useSheet({ sheet, numbers }: Design): ResolvedSheet {
  return useMemo(
    () => resolveDesign({ ...emptyDesign(""), sheet: { ...sheet, ground: null }, numbers }).sheet,
    [sheet, numbers],
  );
}

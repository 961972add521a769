import { createContext, useContext, type ReactNode } from "react";
import { apply, invert, sizeOf, type Matrix, type Point } from "@twin-petal/core";

/** Where a motif is worked on: on a copy of it on the sheet, or in its close-up. */
interface Surface {
  /** From the motif's own space to the screen's pixels within the surface. */
  readonly toScreen: Matrix;
  /** Pixels a millimetre of the motif. */
  readonly scale: number;
  screen: (point: Point) => Point;
  /** The motif's own point under a pixel. */
  motif: (pixel: Point) => Point;
}

export function surfaceOf(toScreen: Matrix): Surface | null {
  const back = invert(toScreen);
  if (!back) return null;
  return {
    toScreen,
    scale: sizeOf(toScreen),
    screen: (point) => apply(toScreen, point),
    motif: (pixel) => apply(back, pixel),
  };
}

const SurfaceContext = createContext<Surface | null>(null);

export function SurfaceProvider({ surface, children }: { surface: Surface; children: ReactNode }) {
  return <SurfaceContext value={surface}>{children}</SurfaceContext>;
}

export function useSurface(): Surface {
  const surface = useContext(SurfaceContext);
  if (!surface) throw new Error("this belongs on a surface");
  return surface;
}

import { DoubleSide, FrontSide, type Plane } from "three";

interface SurfaceProps {
  readonly color?: string;
  /** What cuts it open: what lies behind these planes is drawn. */
  readonly cut: readonly Plane[];
  /** Whether what is behind shows through, as through cutters. */
  readonly clear?: boolean;
}

/** How solids look: matt, each facet lit by its slant. */
export function Surface({ color = "#FFFFFF", cut, clear = false }: SurfaceProps) {
  return (
    <meshLambertMaterial
      color={color}
      flatShading
      clippingPlanes={[...cut]}
      side={cut.length > 0 ? DoubleSide : FrontSide}
      transparent={clear}
      opacity={clear ? 0.35 : 1}
      depthWrite={!clear}
    />
  );
}

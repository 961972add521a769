import { apply, invert, type FillOfKind, type Point } from "@twin-petal/core";
import { Handle } from "../../../stage/handle";
import type { FillHandlesProps } from "./definition";
import { share, usePulledFill } from "./pulledFill";

type GradientFill = FillOfKind<"linear"> | FillOfKind<"radial">;

interface StopHandlesProps extends FillHandlesProps<GradientFill> {
  /** Where the first and the last colour are, in the fill's own space. */
  readonly from: Point;
  readonly to: Point;
}

const STOP = { min: 0, max: 1, whole: false };

/** The colours of a gradient along it. */
export function StopHandles({ part, fill, toSheet, from, to }: StopHandlesProps) {
  const { nudge, number, set } = usePulledFill(part);
  const back = invert(toSheet);
  if (!back) return null;
  const along = (at: number) => ({ x: from.x + (to.x - from.x) * at, y: from.y + (to.y - from.y) * at });
  return fill.stops.map((stop, index) => {
    const at = number(stop.at, STOP);
    return (
      <Handle
        key={index}
        label={`Colour ${index + 1} of the fill`}
        // The last one at the end stands a little before the end's own handle.
        at={apply(toSheet, along(Math.min(at, 0.94)))}
        readout={`at ${at}`}
        nudge={nudge}
        onPull={(point, gesture) => {
          const { x, y } = apply(back, point);
          const [dx, dy] = [to.x - from.x, to.y - from.y];
          const next = ((x - from.x) * dx + (y - from.y) * dy) / (dx * dx + dy * dy || 1);
          const stops = fill.stops.map((old, k) =>
            k === index ? { ...old, at: Math.min(1, Math.max(0, share(next))) } : old,
          );
          set({ ...fill, stops }, `move colour ${index + 1}`, `stop${index}/${gesture}`);
        }}
      >
        <rect
          x={-6}
          y={-6}
          width={12}
          height={12}
          rx={3}
          fill={stop.color.startsWith("#") ? stop.color : "#9A6B16"}
          stroke="#FFFFFF"
          strokeWidth={2}
        />
        <rect x={-7.5} y={-7.5} width={15} height={15} rx={4} fill="none" stroke="#2B2140" strokeWidth={1} />
      </Handle>
    );
  });
}

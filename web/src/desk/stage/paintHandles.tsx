import {
  apply,
  directionOf,
  distance,
  GRADIENT_ANGLE,
  GRADIENT_PLACE,
  GRADIENT_RADIUS,
  invert,
  placeGradient,
  scopeOf,
  STOP,
  valueOf,
  type Box,
  type FillValue,
  type GradientFill,
  type Limits,
  type Matrix,
  type NumberValue,
  type Part,
  type Point,
  type PoolsFill,
} from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setFinish } from "@/store/edits/finish";
import type { ChosenReport } from "@/workers/frame";
import { useNumbers } from "../fields/boundNumber";
import { DropMark } from "./drop";
import { Handle } from "./handle";
import { useLengthWords } from "./lengthWords";

interface PaintHandlesProps {
  readonly part: Part;
  readonly chosen: ChosenReport;
}

/** The places of the fill's colours, pulled on the sheet: over the source, or over the whole part. */
export function PaintHandles({ part, chosen }: PaintHandlesProps) {
  const { fill } = part.finish;
  if (typeof fill !== "object" || fill === null) return null;
  if (fill.kind === "cycle" || fill.kind === "ramp") return null;
  const whole = fill.over === "whole" ? chosen.wholeBox : null;
  const shared = {
    part: part.id,
    box: whole ?? chosen.motifBox,
    toSheet: whole ? SHEET_ITSELF : chosen.working,
  };
  return fill.kind === "pools" ? <PoolHandles {...shared} fill={fill} /> : <GradientHandles {...shared} fill={fill} />;
}

const SHEET_ITSELF: Matrix = [1, 0, 0, 1, 0, 0];

interface PlacedFill<F extends FillValue> {
  readonly part: string;
  readonly fill: F;
  /** The box the fill lies over, in a space that `toSheet` takes to the sheet. */
  readonly box: Box;
  readonly toSheet: Matrix;
}

function useFill(part: string) {
  const { edit } = useEditing();
  const scope = scopeOf(useNumbers());
  const { nudge } = useLengthWords();
  return {
    nudge,
    number: (stored: NumberValue, limits: Limits): number => {
      const outcome = valueOf(stored, limits, scope);
      return "value" in outcome ? outcome.value : 0;
    },
    set: (fill: FillValue, label: string, gesture: string) =>
      edit(setFinish(part, "fill", fill, label, `${part}/fill/${gesture}`)),
  };
}

const share = (value: number) => Number(value.toFixed(3));

/** A place of the box as shares of it. */
function shareIn({ left, top, right, bottom }: Box, { x, y }: Point): Point {
  return { x: share((x - left) / Math.max(1e-9, right - left)), y: share((y - top) / Math.max(1e-9, bottom - top)) };
}

function PoolHandles({ part, fill, box, toSheet }: PlacedFill<PoolsFill>) {
  const { nudge, number, set } = useFill(part);
  const back = invert(toSheet);
  if (!back) return null;
  return fill.points.map((pool, index) => {
    const at = {
      x: box.left + number(pool.x, GRADIENT_PLACE) * (box.right - box.left),
      y: box.top + number(pool.y, GRADIENT_PLACE) * (box.bottom - box.top),
    };
    const told = shareIn(box, at);
    return (
      <Handle
        key={index}
        label={`Pool ${index + 1}`}
        at={apply(toSheet, at)}
        telling={`${told.x} across, ${told.y} down`}
        nudge={nudge}
        onPull={(to, gesture) => {
          const place = shareIn(box, apply(back, to));
          const points = fill.points.map((old, k) => (k === index ? { ...old, ...place } : old));
          set({ ...fill, points }, `move pool ${index + 1}`, `pool${index}/${gesture}`);
        }}
      >
        <circle r={8} fill={pool.color.startsWith("#") ? pool.color : "#9A6B16"} stroke="#FFFFFF" strokeWidth={2} />
        <circle r={9.5} fill="none" stroke="#2B2140" strokeWidth={1.2} />
      </Handle>
    );
  });
}

function GradientHandles({ part, fill, box, toSheet }: PlacedFill<GradientFill>) {
  const { nudge, number, set } = useFill(part);
  const back = invert(toSheet);
  if (!back) return null;
  const plain = { at: 0, color: "#000000" };
  const shared = { stops: [plain, { ...plain, at: 1 }], midpoint: 0.5, over: "copy" } as const;
  const placed = placeGradient(
    fill.kind === "linear"
      ? { kind: "linear", angle: number(fill.angle, GRADIENT_ANGLE), ...shared }
      : {
          kind: "radial",
          center: { x: number(fill.center.x, GRADIENT_PLACE), y: number(fill.center.y, GRADIENT_PLACE) },
          radius: number(fill.radius, GRADIENT_RADIUS),
          ...shared,
        },
    box,
  );
  const [from, to] =
    placed.kind === "linear"
      ? [placed.from, placed.to]
      : [placed.centre, { x: placed.centre.x + placed.radius, y: placed.centre.y }];
  const along = (at: number) => ({ x: from.x + (to.x - from.x) * at, y: from.y + (to.y - from.y) * at });
  const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
  const pullEnd = (point: Point, gesture: string) => {
    if (fill.kind === "linear") {
      const angle = Number(directionOf(middle, point).toFixed(1));
      set({ ...fill, angle }, `fill at ${angle}°`, `angle/${gesture}`);
    } else {
      const half = Math.max(box.right - box.left, box.bottom - box.top) / 2;
      const radius = Math.max(GRADIENT_RADIUS.min, share(distance(from, point) / Math.max(half, 1e-9)));
      set({ ...fill, radius }, `fill reaching ${radius}`, `radius/${gesture}`);
    }
  };
  return (
    <>
      {fill.kind === "radial" && (
        <Handle
          label="Centre of the fill"
          at={apply(toSheet, from)}
          telling={`${shareIn(box, from).x} across, ${shareIn(box, from).y} down`}
          nudge={nudge}
          onPull={(point, gesture) =>
            set({ ...fill, center: shareIn(box, apply(back, point)) }, "move the fill’s centre", `centre/${gesture}`)
          }
        >
          <circle r={6} fill="#2B2140" stroke="#FFFFFF" strokeWidth={2} />
        </Handle>
      )}
      {fill.stops.map((stop, index) => {
        const at = number(stop.at, STOP);
        // The last one at the end stands a little before the end's own handle.
        const place = along(Math.min(at, 0.94));
        return (
          <Handle
            key={index}
            label={`Colour ${index + 1} of the fill`}
            at={apply(toSheet, place)}
            telling={`at ${at}`}
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
      })}
      <Handle
        label={fill.kind === "linear" ? "Direction of the fill" : "Reach of the fill"}
        at={apply(toSheet, to)}
        telling={fill.kind === "linear" ? `${String(fill.angle)}°` : `reaching ${String(fill.radius)}`}
        nudge={nudge}
        onPull={(point, gesture) => pullEnd(apply(back, point), gesture)}
      >
        <DropMark turn={directionOf(apply(toSheet, from), apply(toSheet, to))} />
      </Handle>
    </>
  );
}

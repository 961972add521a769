import { scaleLinear } from "d3-scale";
import { area } from "d3-shape";
import { useState, type KeyboardEvent, type MouseEvent } from "react";
import {
  LINE_WIDTH,
  monotone,
  scopeOf,
  SWELL_FIELDS,
  valueOf,
  type Limits,
  type Point,
  type SwellValue,
} from "@twin-petal/core";
import { arrowMove } from "@/ui/arrows";
import { pixelOf } from "@/ui/pixelOf";
import { useDrag } from "@/ui/useDrag";
import { useNumbers } from "../../fields/useNumbers";

const WIDTH = 268;
const HEIGHT = 76;
const MARGIN = 12;
/** What an arrow key moves a place along the line by, and changes its width by, millimetres. */
const STEP = 0.02;
const WIDTH_STEP = 0.1;

interface SwellCurveProps {
  readonly swell: readonly SwellValue[];
  onChange: (swell: readonly SwellValue[], change: string, gesture: string) => void;
}

/** The widths along a line as a band that is pulled where it should be wider; a click on it adds a place. */
export function SwellCurve({ swell, onChange }: SwellCurveProps) {
  const scope = scopeOf(useNumbers());
  const number = (stored: SwellValue["at"], limits: Limits) => {
    const outcome = valueOf(stored, limits, scope);
    return "value" in outcome ? outcome.value : 0;
  };
  const knots = swell.map(({ at, width }) => ({ at: number(at, SWELL_FIELDS.at), value: number(width, LINE_WIDTH) }));
  const [heldMost, setHeldMost] = useState<number | null>(null);
  const widest = knots.reduce((most, { value }) => Math.max(most, value), 0);
  // While a place is pulled the scale stays, so that it follows the hand.
  const most = heldMost ?? Math.max(0.5, widest * 1.3);
  const x = scaleLinear([0, 1], [MARGIN, WIDTH - MARGIN]).clamp(true);
  const y = scaleLinear([0, most], [0, HEIGHT / 2 - 6]);
  const widthAt = monotone(knots);
  const band = area<number>()
    .x((share) => x(share))
    .y0((share) => HEIGHT / 2 - y(widthAt(share)))
    .y1((share) => HEIGHT / 2 + y(widthAt(share)))(Array.from({ length: 61 }, (_, k) => k / 60));

  const placed = (index: number, at: number, width: number): SwellValue[] => {
    const [before, after] = [knots[index - 1]?.at ?? 0, knots[index + 1]?.at ?? 1];
    const place = {
      at: Number(Math.min(after, Math.max(before, at)).toFixed(3)),
      width: Number(Math.min(LINE_WIDTH.max, Math.max(0, width)).toFixed(2)),
    };
    const knot = knots[index];
    // What was not moved keeps its formula.
    return swell.map((old, k) =>
      k === index
        ? {
            at: place.at === knot?.at ? old.at : place.at,
            width: place.width === knot?.value ? old.width : place.width,
          }
        : old,
    );
  };
  const under = ({ x: px, y: py }: Point) => ({ at: x.invert(px), width: y.invert(Math.abs(HEIGHT / 2 - py)) });
  const add = (event: MouseEvent) => {
    const { at } = under(pixelOf(event));
    const place = { at: Number(at.toFixed(3)), width: Number(widthAt(at).toFixed(2)) };
    const index = knots.findIndex((knot) => knot.at > at);
    onChange(swell.toSpliced(index < 0 ? swell.length : index, 0, place), "add a width", `add-${event.timeStamp}`);
  };
  const move = (index: number, at: number, width: number, gesture: string) =>
    onChange(placed(index, at, width), "change a width", gesture);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="group"
      aria-label="Widths along the line, from its start to its end"
      className="my-1 touch-none rounded border border-hairline"
    >
      <path d={band ?? ""} fill="var(--words)" fillOpacity={0.78} className="cursor-copy" onClick={add}>
        <title>Click to add a width here</title>
      </path>
      {knots.map(({ at, value }, index) => (
        <Knot
          key={index}
          number={index + 1}
          at={at}
          width={value}
          place={{ x: x(at), y: HEIGHT / 2 - y(value) }}
          onGrasp={() => setHeldMost(most)}
          onLetGo={() => setHeldMost(null)}
          onPull={(to, gesture) => move(index, under(to).at, under(to).width, gesture)}
          onNudge={(by) => move(index, at + by.x * STEP, value - by.y * WIDTH_STEP, `keys-${index}`)}
          onRemove={
            swell.length > 2 ? (gesture) => onChange(swell.toSpliced(index, 1), "remove a width", gesture) : null
          }
        />
      ))}
    </svg>
  );
}

interface KnotProps {
  /** Its number along the line, from 1. */
  readonly number: number;
  /** The share of the line it is at. */
  readonly at: number;
  /** Millimetres. */
  readonly width: number;
  /** Where it is drawn, pixels. */
  readonly place: Point;
  onGrasp: () => void;
  onLetGo: () => void;
  onPull: (to: Point, gesture: string) => void;
  /** Moved by arrow keys, in steps. */
  onNudge: (by: Point) => void;
  /** Null for one of the last two, which stay. */
  readonly onRemove: ((gesture: string) => void) | null;
}

/** One width of the band, pulled by hand or by the arrow keys. */
function Knot({ number, at, width, place, onGrasp, onLetGo, onPull, onNudge, onRemove }: KnotProps) {
  const drag = useDrag<true>({
    grasp() {
      onGrasp();
      return true;
    },
    onMove: (_, { to, gesture }) => onPull(to, gesture),
    onEnd: onLetGo,
    begins: 0,
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const by = arrowMove(event, 1);
    if (by) onNudge(by);
    else if ((event.key === "Delete" || event.key === "Backspace") && onRemove) onRemove(`remove-${event.timeStamp}`);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const words = `${Number(width.toFixed(2))} mm at ${Math.round(at * 100)} %`;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={`width ${number} along the line`}
      aria-valuenow={width}
      aria-valuemin={0}
      aria-valuemax={LINE_WIDTH.max}
      aria-valuetext={words}
      transform={`translate(${place.x} ${place.y})`}
      className="group cursor-move outline-none"
      {...drag}
      onKeyDown={onKeyDown}
    >
      <title>{`${words}; Delete removes it`}</title>
      <circle r={9} fill="transparent" className="group-focus-visible:stroke-words" strokeWidth={2} />
      <path d="M0-5.5 5.5 0 0 5.5-5.5 0Z" fill="var(--live)" stroke="var(--surface)" strokeWidth={1.5} />
    </g>
  );
}

import { scaleLinear } from "d3-scale";
import { area } from "d3-shape";
import { useRef, useState } from "react";
import { LINE_WIDTH, monotone, scopeOf, valueOf, STOP, type SwellValue } from "@twin-petal/core";
import { arrowMove } from "@/ui/arrows";
import { useNumbers } from "../../fields/boundNumber";

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
  const number = (stored: SwellValue["at"], limits: typeof STOP) => {
    const outcome = valueOf(stored, limits, scope);
    return "value" in outcome ? outcome.value : 0;
  };
  const knots = swell.map(({ at, width }) => ({ at: number(at, STOP), value: number(width, LINE_WIDTH) }));
  const [held, setHeld] = useState<{ index: number; most: number; gesture: string } | null>(null);
  const frame = useRef<SVGSVGElement>(null);
  const widest = knots.reduce((most, { value }) => Math.max(most, value), 0);
  // While a place is pulled the scale stays, so that it follows the hand.
  const most = held?.most ?? Math.max(0.5, widest * 1.3);
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
    return swell.map((old, k) => (k === index ? place : old));
  };
  const under = (event: { clientX: number; clientY: number }) => {
    const box = frame.current?.getBoundingClientRect();
    const [px, py] = [event.clientX - (box?.left ?? 0), event.clientY - (box?.top ?? 0)];
    return { at: x.invert(px), width: y.invert(Math.abs(HEIGHT / 2 - py)) };
  };
  const add = (event: { clientX: number; clientY: number; timeStamp: number }) => {
    const { at } = under(event);
    const place = { at: Number(at.toFixed(3)), width: Number(widthAt(at).toFixed(2)) };
    const index = knots.findIndex((knot) => knot.at > at);
    onChange(swell.toSpliced(index < 0 ? swell.length : index, 0, place), "add a width", `add-${event.timeStamp}`);
  };
  return (
    <svg
      ref={frame}
      width={WIDTH}
      height={HEIGHT}
      role="group"
      aria-label="Widths along the line, from its start to its end"
      className="my-1 touch-none rounded border border-hairline"
      onPointerMove={(event) => {
        if (!held) return;
        const { at, width } = under(event);
        onChange(placed(held.index, at, width), "change a width", held.gesture);
      }}
      onPointerUp={() => setHeld(null)}
      onPointerCancel={() => setHeld(null)}
    >
      <path d={band ?? ""} fill="var(--words)" fillOpacity={0.78} className="cursor-copy" onClick={add}>
        <title>Click to add a width here</title>
      </path>
      {knots.map(({ at, value }, index) => (
        <g
          key={index}
          role="slider"
          tabIndex={0}
          aria-label={`width ${index + 1} along the line`}
          aria-valuenow={value}
          aria-valuemin={0}
          aria-valuemax={LINE_WIDTH.max}
          aria-valuetext={`${Number(value.toFixed(2))} mm at ${Math.round(at * 100)} %`}
          transform={`translate(${x(at)} ${HEIGHT / 2 - y(value)})`}
          className="group cursor-move outline-none"
          onPointerDown={(event) => {
            event.stopPropagation();
            frame.current?.setPointerCapture(event.pointerId);
            setHeld({ index, most, gesture: `pull-${event.timeStamp}` });
          }}
          onKeyDown={(event) => {
            if ((event.key === "Delete" || event.key === "Backspace") && swell.length > 2) {
              event.preventDefault();
              event.stopPropagation();
              onChange(swell.toSpliced(index, 1), "remove a width", `remove-${event.timeStamp}`);
              return;
            }
            const move = arrowMove(event, 1);
            if (!move) return;
            event.preventDefault();
            event.stopPropagation();
            onChange(placed(index, at + move.x * STEP, value - move.y * WIDTH_STEP), "change a width", `keys-${index}`);
          }}
        >
          <title>{`${Number(value.toFixed(2))} mm at ${Math.round(at * 100)} %; Delete removes it`}</title>
          <circle r={9} fill="transparent" className="group-focus-visible:stroke-words" strokeWidth={2} />
          <path d="M0-5.5 5.5 0 0 5.5-5.5 0Z" fill="var(--live)" stroke="var(--surface)" strokeWidth={1.5} />
        </g>
      ))}
    </svg>
  );
}

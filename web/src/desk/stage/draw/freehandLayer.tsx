import { useRef, useState, type KeyboardEvent } from "react";
import { pathData, steadied, storedStrokes, strokeOutline, type Point, type StrokeValue } from "@twin-petal/core";
import { useDesign, useDesk, useDeskStore } from "@/store/deskStore";
import { addMadePart } from "@/store/edits/drawn";
import { addStroke, setStroke } from "@/store/edits/freehand";
import { arrowMove } from "@/ui/arrows";
import { pixelOf } from "@/ui/pixelOf";
import { useDrag } from "@/ui/useDrag";
import { useLengthReadout } from "../useLengthReadout";
import { useSurface } from "../surface";

/** A pointer that has no pressure presses this hard. */
const USUAL_PRESSURE = 0.5;
/** Pixels from a stroke that still choose it. */
const NEAR = 10;

/** Strokes drawn straight onto the ornament; every copy appears as it is drawn. */
export function FreehandLayer() {
  const design = useDesign();
  const chosen = useDesk((state) => state.chosen);
  const chosenStroke = useDesk((state) => state.hand.stroke);
  const store = useDeskStore();
  const surface = useSurface();
  const { nudge } = useLengthReadout();
  const part = design.parts.find(({ id }) => id === chosen);
  const strokes = part ? storedStrokes(part.motif) : [];
  const drawing = useRef<{ part: string; number: number; points: [number, number, number][]; gesture: string } | null>(
    null,
  );
  const [cursor, setCursor] = useState<Point | null>(null);
  const [penDown, setPenDown] = useState(false);
  const [underWay, setUnderWay] = useState(false);

  const begin = (at: Point, pressure: number, gesture: string) => {
    const { edit, choose } = store.getState();
    const points: [number, number, number][] = [[at.x, at.y, pressure]];
    if (part?.motif.kind === "freehand") {
      drawing.current = { part: part.id, number: strokes.length, points, gesture };
      edit(addStroke(part.id, [...points], gesture));
    } else {
      const added = addMadePart(design, { kind: "freehand", strokes: [[...points]] }, "Strokes", false);
      edit({ ...added.edit, gesture });
      choose(added.id);
      drawing.current = { part: added.id, number: 0, points, gesture };
    }
    setUnderWay(true);
    store.getState().setHand({ stroke: drawing.current.number });
  };
  const goOn = (points: readonly (readonly [Point, number])[]) => {
    const current = drawing.current;
    if (!current) return;
    for (const [{ x, y }, pressure] of points) current.points.push([rounded(x), rounded(y), pressure]);
    store.getState().edit(setStroke(current.part, current.number, [...current.points], current.gesture));
  };

  const drag = useDrag<"stroke" | "choosing">({
    grasp(event, gesture) {
      const at = surface.motif(pixelOf(event));
      if (event.shiftKey) {
        store.getState().setHand({ stroke: strokeNear(strokes, at, NEAR / surface.scale) });
        return "choosing";
      }
      begin({ x: rounded(at.x), y: rounded(at.y) }, pressureOf(event), gesture);
      return "stroke";
    },
    onMove(grasped, { event }) {
      if (grasped === "choosing" || penDown) return;
      // Between two frames a pointer may have reported more places than one.
      const { currentTarget } = event;
      const moves = event.nativeEvent.getCoalescedEvents();
      const all = moves.length > 0 ? moves : [event.nativeEvent];
      goOn(
        all.map((move) => [
          surface.motif(pixelOf({ clientX: move.clientX, clientY: move.clientY, currentTarget })),
          pressureOf(move),
        ]),
      );
    },
    onEnd() {
      if (penDown) return;
      drawing.current = null;
      setUnderWay(false);
    },
    begins: 0,
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const move = arrowMove(event, nudge);
    const at = cursor ?? { x: 0, y: -20 * nudge };
    if (move) {
      const next = { x: at.x + move.x, y: at.y + move.y };
      setCursor(next);
      if (penDown) goOn([[next, USUAL_PRESSURE]]);
    } else if (event.key === " ") {
      if (penDown) {
        drawing.current = null;
        setUnderWay(false);
      } else begin(at, USUAL_PRESSURE, `stroke-${event.timeStamp}`);
      setPenDown(!penDown);
      setCursor(at);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const shown = chosenStroke === null ? undefined : strokes[chosenStroke];
  return (
    <g
      role="application"
      tabIndex={0}
      id="freehand-layer"
      aria-label={`Freehand, the pen is ${penDown ? "down" : "up"}. Arrow keys move it, space sets it down and lifts it.`}
      className="pointer-events-auto touch-none outline-none"
      {...drag}
      onKeyDown={onKeyDown}
    >
      <rect width="100%" height="100%" fill="transparent" className="cursor-crosshair" />
      {shown && shown.length > 1 && !underWay && (
        <path
          d={pathData(strokeOutline(shown, { width: 1 / surface.scale, steady: 0.5, taper: 0, pressing: 0 }))}
          transform={`matrix(${surface.toScreen.join(" ")})`}
          fill="#FFFFFF"
          stroke="#2B2140"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      )}
      {cursor && (
        <circle
          {...placed(surface.screen(cursor))}
          r={penDown ? 4 : 6}
          fill={penDown ? "#2B2140" : "none"}
          stroke="#FFFFFF"
          strokeWidth={2}
          style={{ outline: "1px solid #2B2140", outlineOffset: 1, borderRadius: 9 }}
        />
      )}
    </g>
  );
}

function placed({ x, y }: Point) {
  return { cx: x, cy: y };
}

function pressureOf(event: { pressure: number; pointerType: string }): number {
  return event.pointerType === "pen" && event.pressure > 0 ? Number(event.pressure.toFixed(3)) : USUAL_PRESSURE;
}

const rounded = (value: number) => Number(value.toFixed(3));

/** The stroke that passes nearest to a point, within a distance; null where none does. */
export function strokeNear(strokes: readonly StrokeValue[], point: Point, within: number): number | null {
  let best: number | null = null;
  let least = within;
  strokes.forEach((stroke, number) => {
    for (const { x, y } of steadied(stroke, 0)) {
      const far = Math.hypot(x - point.x, y - point.y);
      if (far < least) [best, least] = [number, far];
    }
  });
  return best;
}

import { useState, type KeyboardEvent, type PointerEvent } from "react";
import {
  closeRun,
  cornerAt,
  replaceRun,
  segmentBetween,
  pathData,
  subpathOf,
  distance,
  type DrawnNode,
  type DrawnPath,
  type Point,
} from "@twin-petal/core";
import { useDeskStore } from "@/store/deskStore";
import { addMadePart, drawnMotif, setDrawnPaths } from "@/store/edits/drawn";
import { arrowMove } from "@/ui/arrows";
import { pixelOf } from "@/ui/pixelOf";
import { useDrag } from "@/ui/useDrag";
import { useLengthReadout } from "../useLengthReadout";
import { moveReadout } from "../nodes/nodeLayer";
import { useDrawn } from "../nodes/useDrawn";
import { Cross } from "../cross";
import { PointerPanel } from "../pointerPanel";
import type { SnapPoint } from "../snap/snap";
import { useSnap } from "../snap/useSnap";
import { useSurface } from "../surface";
import { PlaceInput } from "./placeInput";
import { beginsPlace, typedPlace } from "./typedPlace";

/** Pixels a pull must reach before it draws handles out of a new node. */
const PULL = 4;

/** Straight and curved segments placed one after the other; the ornament follows with every one. */
export function DrawLayer() {
  const drawn = useDrawn();
  const surface = useSurface();
  const store = useDeskStore();
  const snapTo = useSnap();
  const { words, nudge, rounded } = useLengthReadout();
  /** The run being drawn, by its number; null before the first node. */
  const [run, setRun] = useState<number | null>(null);
  const [hover, setHover] = useState<Point | null>(null);
  const [cursor, setCursor] = useState<Point | null>(null);
  /** The first key of a place that is typed. */
  const [typing, setTyping] = useState<string | null>(null);
  const [readout, setReadout] = useState<{ at: Point; lines: (string | null)[] } | null>(null);
  const paths = drawn?.paths ?? [];
  const current = run === null ? undefined : paths[run];
  const last = current?.nodes.at(-1);
  const first = current?.nodes[0];

  const own = (): SnapPoint[] => [
    ...(first && (current?.nodes.length ?? 0) > 1 ? [{ at: first, words: "first node: closes it" }] : []),
    ...paths.flatMap(({ nodes }) => nodes).map((node) => ({ at: node, words: "node" })),
  ];
  const isFirst = (point: Point) => first && (current?.nodes.length ?? 0) > 1 && distance(point, first) < 1e-9;

  const keepRuns = (next: readonly DrawnPath[], label: string, gesture?: string) => {
    const { chosen, edit, choose, history } = store.getState();
    if (drawn && chosen) return edit(setDrawnPaths(chosen, next, label, gesture));
    const added = addMadePart(history.design, drawnMotif(next), "Drawing", false);
    edit(added.edit);
    choose(added.id);
  };
  const place = (at: Point, gesture: string) => {
    const node = cornerAt(at);
    if (run === null || !current) {
      keepRuns([...paths, { closed: false, nodes: [node] }], "begin to draw", gesture);
      setRun(paths.length);
    } else {
      keepRuns(replaceRun(paths, run, { ...current, nodes: [...current.nodes, node] }), "draw a segment", gesture);
    }
  };
  const close = () => {
    if (run === null || !current || current.nodes.length < 2) return;
    keepRuns(replaceRun(paths, run, closeRun(current)), "close the outline");
    finish();
  };
  const finish = () => {
    setRun(null);
    setReadout(null);
    if (current && current.nodes.length < 2)
      keepRuns(
        paths.filter((_, index) => index !== run),
        "drop a single node",
      );
  };
  const takeBack = () => {
    if (run === null || !current) return;
    const nodes = current.nodes.slice(0, -1);
    keepRuns(
      nodes.length > 0 ? replaceRun(paths, run, { ...current, nodes }) : replaceRun(paths, run),
      "take a node back",
    );
    if (nodes.length === 0) setRun(null);
  };
  const pull = (handle: Point, gesture: string) => {
    if (run === null || !current || !last) return;
    const node: DrawnNode = { ...last, out: handle, in: { x: -handle.x, y: -handle.y }, type: "symmetric" };
    keepRuns(
      replaceRun(paths, run, { ...current, nodes: [...current.nodes.slice(0, -1), node] }),
      "draw a segment",
      gesture,
    );
  };
  const showReadout = (at: Point, point: Point, word: string | null) => {
    const by = last ? moveReadout({ x: point.x - last.x, y: point.y - last.y }, words) : null;
    setReadout({ at, lines: [`${words(point.x)}, ${words(point.y)}`, by, word] });
  };

  const isUnsnapped = (event: PointerEvent) => event.ctrlKey || event.metaKey;
  const drag = useDrag<"node" | "closing">({
    grasp(event, gesture) {
      const { point } = snapTo(surface.motif(pixelOf(event)), own(), isUnsnapped(event));
      if (isFirst(point)) {
        close();
        return "closing";
      }
      place(point, gesture);
      return "node";
    },
    onMove(grasped, { to, gesture, event }) {
      if (grasped === "closing" || !last) return;
      const { point, words: word } = snapTo(surface.motif(to), [], isUnsnapped(event));
      pull({ x: point.x - last.x, y: point.y - last.y }, gesture);
      showReadout(to, point, word);
    },
    onHover(event) {
      const pixel = pixelOf(event);
      const { point, words: word } = snapTo(surface.motif(pixel), own(), isUnsnapped(event));
      setHover(point);
      showReadout(pixel, point, word);
    },
    begins: PULL,
  });
  const takeTyped = (text: string) => {
    const next = typedPlace(text, last ?? null, nudge);
    if (!next) return false;
    if (isFirst(next)) close();
    else place(next, `typed-${text}-${current?.nodes.length ?? 0}`);
    setCursor(next);
    stopTyping();
    return true;
  };
  const stopTyping = () => {
    setTyping(null);
    document.getElementById("draw-layer")?.focus();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const move = arrowMove(event, nudge);
    const at = cursor ?? last ?? { x: 0, y: 0 };
    if (move) {
      const next = { x: rounded(at.x + move.x), y: rounded(at.y + move.y) };
      setCursor(next);
      setHover(next);
      showReadout(surface.screen(next), next, snapTo(next, own(), false).words);
    } else if (event.key === " ") {
      if (isFirst(at)) close();
      else place({ x: at.x, y: at.y }, `draw-${event.timeStamp}`);
      setCursor(at);
    } else if (event.key === "=") setTyping("");
    // Between outlines numbers take up tools.
    else if (current && beginsPlace(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey) {
      setTyping(event.key);
    } else if (event.key === "Enter" || event.key === "Escape") finish();
    else if (event.key === "c") close();
    else if (event.key === "Backspace") takeBack();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  const ahead = last && hover ? pathData([subpathOf([segmentBetween(last, cornerAt(hover))], false)]) : "";
  return (
    <g
      role="application"
      tabIndex={0}
      id="draw-layer"
      aria-label="Drawing. Arrow keys move the point, space places it, a number, or equals, begins a place to type, C closes the outline, Enter ends it, Backspace takes the last point back."
      className="pointer-events-auto touch-none outline-none"
      {...drag}
      onPointerLeave={() => setHover(cursor)}
      onKeyDown={onKeyDown}
    >
      <rect width="100%" height="100%" fill="transparent" className="cursor-crosshair" />
      {current && (
        <g transform={`matrix(${surface.toScreen.join(" ")})`} fill="none">
          <RunLines run={current} ahead={ahead} />
        </g>
      )}
      {current?.nodes.map((node, index) => {
        const { x, y } = surface.screen(node);
        return <circle key={index} cx={x} cy={y} r={4} fill="#2B2140" stroke="#FFFFFF" strokeWidth={1.5} />;
      })}
      {cursor && <Cross at={surface.screen(cursor)} />}
      {readout && typing === null && <PointerPanel {...readout} />}
      {typing !== null && (
        <PlaceInput
          at={surface.screen(cursor ?? last ?? { x: 0, y: 0 })}
          begun={typing}
          onPlace={takeTyped}
          onLeave={stopTyping}
        />
      )}
    </g>
  );
}

function RunLines({ run, ahead }: { run: DrawnPath; ahead: string }) {
  const drawn = pathData([
    subpathOf(
      run.nodes.slice(1).map((node, k) => segmentBetween(run.nodes[k] ?? node, node)),
      false,
    ),
  ]);
  return (
    <>
      {[drawn, ahead].map((d, index) => (
        <g key={index}>
          <path d={d} stroke="#FFFFFF" strokeWidth={3} vectorEffect="non-scaling-stroke" />
          <path
            d={d}
            stroke="#2B2140"
            strokeWidth={1.5}
            strokeDasharray={index === 1 ? "4 3" : undefined}
            vectorEffect="non-scaling-stroke"
          />
        </g>
      ))}
    </>
  );
}

import { unwaited } from "@/api/unwaited";
import { useState, type KeyboardEvent, type MouseEvent, type PointerEvent } from "react";
import {
  addNode,
  countNodes,
  moveHandle,
  moveNodes,
  moveSegment,
  nodeAt,
  nodesInside,
  removeNodes,
  type DrawnPath,
  type HandleSide,
  type Point,
  type SegmentPlace,
} from "@twin-petal/core";
import { useDesk, useDeskStore } from "@/store/deskStore";
import { arrowMove } from "@/ui/arrows";
import { pixelOf } from "@/ui/pixelOf";
import { useDrag } from "@/ui/useDrag";
import { toSheet } from "@/paint/view";
import { useLengthReadout } from "../useLengthReadout";
import { usePicture } from "../pictureContext";
import { LoopMark } from "../loopMark";
import { PointerPanel } from "../pointerPanel";
import { useSnap } from "../snap/useSnap";
import type { SnapPoint } from "../snap/snap";
import { useSurface } from "../surface";
import { GRASP, graspAt } from "./grasp";
import { movedCursor } from "./nodeCursor";
import { Handles, Middles, NodeMark, turnsOf } from "./nodeMarks";
import { nodeActions, typeActions } from "./nodeActions";
import { NodeMenu } from "./nodeMenu";
import { nearestOnPath } from "./nearestOnPath";
import { useDrawn, type Drawn } from "./useDrawn";

/** What the hand has got hold of. */
type Grasped =
  | {
      readonly kind: "node";
      readonly number: number;
      readonly moving: ReadonlySet<number>;
      /** Whether it was chosen before it was pressed. */
      readonly wasChosen: boolean;
      readonly before: readonly DrawnPath[];
    }
  | {
      readonly kind: "handle";
      readonly number: number;
      readonly side: HandleSide;
      readonly before: readonly DrawnPath[];
    }
  | { readonly kind: "segment"; readonly place: SegmentPlace; readonly before: readonly DrawnPath[] }
  | { readonly kind: "loop"; readonly points: Point[] };

/** The nodes of the drawn motif on the copy that is worked on: dragged, chosen, added and removed. */
export function NodeLayer() {
  const drawn = useDrawn();
  return drawn ? <Nodes drawn={drawn} /> : null;
}

function Nodes({ drawn }: { drawn: Drawn }) {
  const { paths, reshape, commit, part } = drawn;
  const surface = useSurface();
  const store = useDeskStore();
  const snapTo = useSnap();
  const { words, nudge } = useLengthReadout();
  const chosen = useDesk((state) => state.hand.nodes);
  const { setHand } = store.getState();
  const [readout, setReadout] = useState<{ at: Point; lines: (string | null)[] } | null>(null);
  const [loop, setLoop] = useState<readonly Point[]>([]);
  /** The node the keys have come to. */
  const [cursor, setCursor] = useState<number | null>(null);
  /** Where the menu of what can be done is open, pixels of the window. */
  const [menu, setMenu] = useState<Point | null>(null);
  const { report } = usePicture("report");
  const all = paths.flatMap((run) => run.nodes);
  const turns = turnsOf(paths, surface.screen);

  const choose = (number: number, adding: boolean) => {
    const next = new Set(adding ? chosen : []);
    if (adding && chosen.has(number)) next.delete(number);
    else next.add(number);
    setHand({ nodes: next });
    return next;
  };
  const others = (moving: ReadonlySet<number>): SnapPoint[] =>
    all.flatMap((node, number) => (moving.has(number) ? [] : [{ at: node, words: "node" }]));

  const hands = {
    ...{ drawn, chosen, report: report?.chosen ?? null },
    choose: (nodes: Iterable<number>) => setHand({ nodes: new Set(nodes) }),
    edit: store.getState().edit,
  };

  const drag = useDrag<Grasped>({
    grasp(event) {
      const pixel = pixelOf(event);
      // Keys go on from what the pointer chooses.
      setCursor(null);
      const found = graspAt(pixel, paths, chosen, surface.screen);
      if (found?.kind === "node") {
        const wasChosen = chosen.has(found.number);
        const moving = wasChosen ? chosen : choose(found.number, event.shiftKey);
        return { ...found, moving, wasChosen, before: paths };
      }
      if (found) return { ...found, before: paths };
      if (event.altKey) return null;
      return { kind: "loop", points: [pixel] };
    },
    onMove(grasped, { from, to, gesture, event }) {
      const off = event.ctrlKey || event.metaKey;
      const [a, b] = [surface.motif(from), surface.motif(to)];
      switch (grasped.kind) {
        case "node": {
          const node = nodeAt(grasped.before, grasped.number);
          if (!node) return;
          const wanted = { x: node.x + b.x - a.x, y: node.y + b.y - a.y };
          const snapped = snapTo(wanted, others(grasped.moving), off);
          const by = { x: snapped.point.x - node.x, y: snapped.point.y - node.y };
          reshape(
            grasped.before,
            moveNodes(grasped.before, grasped.moving, by),
            grasped.moving,
            moveWords(grasped.moving),
            gesture,
          );
          setReadout({ at: to, lines: [placeWords(snapped.point, words), moveReadout(by, words), snapped.words] });
          return;
        }
        case "handle": {
          const node = nodeAt(grasped.before, grasped.number);
          if (!node) return;
          const snapped = snapTo(b, [], off);
          const next = moveHandle(grasped.before, grasped.number, grasped.side, snapped.point);
          reshape(grasped.before, next, new Set([grasped.number]), "pull a handle", gesture);
          const by = { x: snapped.point.x - node.x, y: snapped.point.y - node.y };
          setReadout({ at: to, lines: [moveReadout(by, words), snapped.words] });
          return;
        }
        case "segment": {
          const by = { x: b.x - a.x, y: b.y - a.y };
          const ends = endsOf(grasped.before, grasped.place);
          reshape(grasped.before, moveSegment(grasped.before, grasped.place, by), ends, "move a segment", gesture);
          setReadout({ at: to, lines: [moveReadout(by, words)] });
          return;
        }
        case "loop":
          grasped.points.push(to);
          setLoop([...grasped.points]);
      }
    },
    onEnd(grasped, moved, event, isGivenUp) {
      setReadout(null);
      setLoop([]);
      if (isGivenUp) return;
      if (grasped.kind === "loop") {
        const inside = moved ? nodesInside(paths, grasped.points.map(surface.motif)) : [];
        setHand({ nodes: new Set([...(event.shiftKey ? chosen : []), ...inside]) });
        if (!moved) unwaited(changeCopy(event));
      } else if (grasped.kind === "node" && !moved && grasped.wasChosen) {
        // A click on one of several chosen leaves it alone; with Shift it lets go of it.
        choose(grasped.number, event.shiftKey);
      }
    },
  });
  const changeCopy = useCopyChange();

  const onDoubleClick = (event: MouseEvent) => {
    const pixel = pixelOf(event);
    const near = nearestOnPath(paths, surface.motif(pixel));
    if (!near || near.distance * surface.scale > GRASP) return;
    const next = addNode(paths, near.place, near.t);
    commit(next, "add a node");
    setHand({ nodes: new Set([firstOf(next, near.place) + 1]) });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const move = arrowMove(event, nudge);
    const isPlain = !event.ctrlKey && !event.metaKey;
    const reached = isPlain ? movedCursor({ at: cursor, chosen }, event, countNodes(paths)) : null;
    if (move && chosen.size > 0) {
      reshape(paths, moveNodes(paths, chosen, move), chosen, moveWords(chosen), "keys");
    } else if (reached) {
      setCursor(reached.at);
      setHand({ nodes: reached.chosen });
    } else if (event.key === "Delete" || event.key === "Backspace") {
      if (chosen.size === 0) return;
      commit(removeNodes(paths, chosen), chosen.size === 1 ? "remove a node" : `remove ${chosen.size} nodes`);
      setHand({ nodes: new Set() });
    } else if (event.key === "a" && (event.ctrlKey || event.metaKey)) {
      setHand({ nodes: new Set(all.keys()) });
    } else if (event.key === "m" && chosen.size > 0) {
      const node = nodeAt(paths, [...chosen][0] ?? 0);
      const box = event.currentTarget.closest("svg")?.getBoundingClientRect();
      const at = node && surface.screen(node);
      if (at && box) setMenu({ x: box.left + at.x, y: box.top + at.y });
    } else if (event.key === "Escape" && chosen.size > 0) {
      setHand({ nodes: new Set() });
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <g
      role="application"
      tabIndex={0}
      id="node-layer"
      aria-label={`Nodes of ${part.name}: ${all.length}, ${chosen.size} chosen. Full stop and comma go from node to node, with Shift choosing them too, with Alt until space chooses; arrow keys move the chosen, M tells what can be done to them.`}
      className="pointer-events-auto touch-none outline-none"
      onKeyDown={onKeyDown}
      onDoubleClick={onDoubleClick}
      {...drag}
    >
      <rect width="100%" height="100%" fill="transparent" className="cursor-crosshair" />
      <Middles paths={paths} screen={surface.screen} />
      <Handles paths={paths} chosen={chosen} screen={surface.screen} />
      {all.map((node, number) => {
        const { x, y } = surface.screen(node);
        return (
          <NodeMark
            key={number}
            number={number}
            x={x}
            y={y}
            type={node.type}
            chosen={chosen.has(number)}
            first={number === startOf(part.motif.start)}
            turn={turns[number] ?? 0}
          />
        );
      })}
      <KeyCursor node={cursor === null ? undefined : all[cursor]} screen={surface.screen} />
      <LoopMark points={loop} />
      {readout && <PointerPanel {...readout} />}
      <NodeMenu
        at={menu}
        actions={menu ? [...typeActions(hands), ...nodeActions(hands)] : []}
        onClose={() => setMenu(null)}
      />
    </g>
  );
}

/** Rings the node the keys have come to. */
function KeyCursor({ node, screen }: { node: Point | undefined; screen: (point: Point) => Point }) {
  if (!node) return null;
  const { x, y } = screen(node);
  return <circle cx={x} cy={y} r={11} fill="none" stroke="var(--words)" strokeDasharray="3 3" />;
}

/** Goes to work on another copy when it is clicked. */
function useCopyChange() {
  const store = useDeskStore();
  const { painter, view, size } = usePicture("painter", "view", "size");
  return async (event: PointerEvent) => {
    const { chosen, setHand } = store.getState();
    if (!view || !size || chosen === null || event.currentTarget.closest("[data-surface=close-up]")) return;
    const found = await painter.copyAt(toSheet(view, size, pixelOf(event)), view.scale, chosen);
    if (found) setHand({ copy: found.copy });
  };
}

function firstOf(paths: readonly DrawnPath[], { run, segment }: SegmentPlace): number {
  return paths.slice(0, run).reduce((sum, { nodes }) => sum + nodes.length, 0) + segment;
}

function startOf(start: unknown): number {
  return typeof start === "number" ? start : 0;
}

function moveWords(moving: ReadonlySet<number>): string {
  return moving.size === 1 ? "move a node" : `move ${moving.size} nodes`;
}

function placeWords({ x, y }: Point, words: (length: number) => string): string {
  return `${words(x)}, ${words(y)}`;
}

/** How far and which way something was moved. */
export function moveReadout({ x, y }: Point, words: (length: number) => string): string {
  const angle = ((Math.atan2(x, -y) * 180) / Math.PI + 360) % 360;
  return `${words(Math.hypot(x, y))} at ${Number(angle.toFixed(2))}°`;
}

function endsOf(paths: readonly DrawnPath[], place: SegmentPlace): Set<number> {
  const first = firstOf(paths, { run: place.run, segment: 0 });
  const count = paths[place.run]?.nodes.length ?? 1;
  return new Set([first + place.segment, first + ((place.segment + 1) % count)]);
}

import { PivotHere } from "./pivotHere";
import { useMemo, useRef } from "react";
import {
  about,
  addBetween,
  chosenSegments,
  countNodes,
  cutOpen,
  everyNth,
  invert,
  joinRuns,
  meanOf,
  mendSeams,
  nodeAt,
  nodeSymmetries,
  NODE_TYPES,
  removeNodes,
  rotation,
  scaling,
  seamMisses,
  setNodeType,
  transformNodes,
  mapNodes,
  apply,
  type DrawnPath,
  type Matrix,
  type NodeType,
  type Point,
  type PlacedMark,
  type SeamLine,
} from "@twin-petal/core";
import { useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import { setField } from "@/store/edits/rules";
import { Choice } from "@/ui/choice";
import { LiveNumber } from "@/ui/liveNumber";
import { Sentence } from "@/ui/sentence";
import { BoundNumber } from "../../fields/boundNumber";
import { WordButton } from "../../fields/wordButton";
import { useLengthReadout } from "../../stage/useLengthReadout";
import { useRested } from "@/ui/useRested";
import { useDrawn, type Drawn } from "../../stage/nodes/useDrawn";
import { usePicture } from "../../stage/pictureContext";

/** Nodes rest this long before what they have in common is looked for, milliseconds. */
const REST = 300;
/** End points that miss by less than this are told, millimetres. */
const SEAM_TOLERANCE = 1;
const PLACE = { min: -10_000, max: 10_000, whole: false };

/** The drawn motif in words: how many nodes, what is chosen, and what can be done to it. */
export function DrawnPanel() {
  const drawn = useDrawn();
  const chosen = useDesk((state) => state.hand.nodes);
  const { setHand } = useDeskStore().getState();
  if (!drawn) return null;
  const count = countNodes(drawn.paths);
  const runs = drawn.paths.length;
  return (
    <>
      <Sentence>
        {count === 0
          ? "Nothing is drawn yet. "
          : `${count} ${count === 1 ? "node" : "nodes"} in ${runs} ${runs === 1 ? "run" : "runs"}. `}
        <WordButton onClick={() => setHand({ tool: "draw" })}>{count === 0 ? "draw" : "draw on"}</WordButton>
        {count > 0 && (
          <>
            <WordButton onClick={() => setHand({ tool: "nodes", nodes: new Set(Array(count).keys()) })}>
              choose all
            </WordButton>
            {chosen.size === 0 && (
              <WordButton onClick={() => setHand({ tool: "nodes", nodes: new Set([0]) })}>choose the first</WordButton>
            )}
          </>
        )}
      </Sentence>
      {chosen.size > 0 && <ChosenPanel drawn={drawn} chosen={chosen} />}
      <OrbitPanel drawn={drawn} />
      <SeamPanel drawn={drawn} />
    </>
  );
}

function ChosenPanel({ drawn, chosen }: { drawn: Drawn; chosen: ReadonlySet<number> }) {
  const { paths, commit, reshape, part } = drawn;
  const { setHand } = useDeskStore().getState();
  const { edit } = useEditing();
  const numbers = [...chosen];
  const [first = 0, second] = numbers;
  const node = nodeAt(paths, first);
  if (!node) return null;
  const single = numbers.length === 1;
  const types = new Set(numbers.map((number) => nodeAt(paths, number)?.type));
  const segments = chosenSegments(paths, chosen);
  const choose = (next: Iterable<number>) => setHand({ nodes: new Set(next), tool: "nodes" });
  const between = () => {
    const { paths: next, added } = addBetween(paths, segments);
    commit(next, segments.length === 1 ? "a node between" : `${added.length} nodes between`);
    choose(added);
  };
  const joined = second === undefined ? null : joinRuns(paths, first, second);
  const set = (axis: "x" | "y", value: number, change: string, gesture?: string) =>
    reshape(
      paths,
      mapNodes(paths, (known, number) => (number === first ? { ...known, [axis]: value } : known)),
      chosen,
      change,
      gesture,
    );
  const place = (axis: "x" | "y") => (
    <BoundNumber
      label={`node ${axis === "x" ? "across" : "down"}`}
      stored={Number(node[axis].toFixed(4))}
      standard={0}
      quantity="length"
      limits={PLACE}
      step={1}
      onSet={(value, change, gesture) =>
        set(axis, typeof value === "number" ? value : 0, change, gesture && `${axis}-${gesture}`)
      }
    />
  );
  return (
    <div className="rounded-md bg-page px-2 py-1">
      <Sentence>
        {single ? (
          <>
            Node {first + 1} stands {place("x")} across and {place("y")} down, a{" "}
          </>
        ) : (
          <>{numbers.length} nodes chosen, </>
        )}
        <Choice<NodeType | "mixed">
          label="node type"
          value={types.size === 1 ? node.type : "mixed"}
          choices={NODE_TYPES.map((type) => ({ value: type, words: type }))}
          onChange={(type) =>
            type !== "mixed" &&
            reshape(paths, setNodeType(paths, chosen, type), chosen, `make ${single ? "it" : "them"} ${type}`)
          }
        />
        {single ? " one." : "."} {!single && <TurnAndScale drawn={drawn} chosen={chosen} />}
      </Sentence>
      <p className="-mx-1 flex flex-wrap gap-y-1 pb-1">
        {segments.length > 0 && <WordButton onClick={between}>nodes between</WordButton>}
        {single &&
          [2, 3, 4].map((n) => (
            <WordButton key={n} onClick={() => choose(everyNth(paths, first, n))}>
              every {n === 2 ? "second" : n === 3 ? "third" : "fourth"}
            </WordButton>
          ))}
        {joined && (
          <WordButton
            onClick={() => {
              commit(joined, "join two ends");
              choose([]);
            }}
          >
            join them
          </WordButton>
        )}
        {single && (
          <WordButton onClick={() => commit(cutOpen(paths, first), "cut the outline open")}>cut open here</WordButton>
        )}
        {single && (
          <WordButton
            onClick={() =>
              edit(setField(part.id, "motif", "start", first === 0 ? undefined : first, "begin the outline here"))
            }
          >
            begin here
          </WordButton>
        )}
        {single && <PivotHere part={part} at={node} />}
        <WordButton
          onClick={() => {
            commit(removeNodes(paths, chosen), single ? "remove a node" : `remove ${numbers.length} nodes`);
            choose([]);
          }}
        >
          remove
        </WordButton>
        <WordButton onClick={() => choose([])}>choose none</WordButton>
      </p>
    </div>
  );
}

/** Turns and scales the chosen nodes about their middle; the numbers fall back, as the change is made. */
function TurnAndScale({ drawn, chosen }: { drawn: Drawn; chosen: ReadonlySet<number> }) {
  const { paths, reshape } = drawn;
  const middle = useMemo(
    () => meanOf([...chosen].map((number) => nodeAt(paths, number)).filter((node) => node !== null)),
    [paths, chosen],
  );
  const begun = useRef<{ gesture: string; paths: readonly DrawnPath[]; middle: Point } | null>(null);
  /** A pull is counted from where it began; single changes from where the nodes are. */
  const change = (matrix: Matrix, label: string, gesture?: string) => {
    const goesOn = gesture !== undefined && !gesture.endsWith("keys");
    if (goesOn && begun.current?.gesture !== gesture) begun.current = { gesture, paths, middle };
    const from = goesOn && begun.current ? begun.current : { paths, middle };
    const next = transformNodes(from.paths, chosen, about(from.middle, matrix));
    reshape(from.paths, next, chosen, label, gesture);
  };
  const type = (text: string, make: (value: number) => void) => {
    const value = Number(text.replace(",", "."));
    if (!Number.isFinite(value) || value === 0) return { trouble: "must be a number other than 0" };
    make(value);
    return { ok: true } as const;
  };
  const shared = { whole: false, pullable: true, onDefault: () => undefined } as const;
  return (
    <>
      Turn them{" "}
      <LiveNumber
        {...shared}
        label="turn the chosen"
        value={0}
        text="0"
        unit="°"
        step={1}
        min={-360}
        max={360}
        onChange={(angle, gesture) => change(rotation(angle), "turn the chosen nodes", gesture)}
        onType={(text) => type(text, (angle) => change(rotation(angle), `turn the chosen nodes by ${angle}°`))}
      />
      , scale them{" "}
      <LiveNumber
        {...shared}
        label="scale the chosen"
        value={1}
        text="1"
        step={0.01}
        min={0.01}
        max={100}
        onChange={(factor, gesture) => change(scaling(factor), "scale the chosen nodes", gesture)}
        onType={(text) => type(text, (factor) => change(scaling(factor), `scale the chosen nodes by ${factor}`))}
      />
      .
    </>
  );
}

/** Whether nodes that match by the outline's own symmetry are reshaped together. */
function OrbitPanel({ drawn }: { drawn: Drawn }) {
  const orbit = useDesk((state) => state.hand.orbit);
  const { setHand } = useDeskStore().getState();
  const rested = useRested(drawn.paths, REST);
  const found = useMemo(() => nodeSymmetries(rested).length, [rested]);
  if (found === 0) return null;
  return (
    <Sentence>
      {orbit
        ? "What is done to a node is done to all that match it. "
        : `Its nodes match each other ${found + 1} ways. `}
      <WordButton onClick={() => setHand({ orbit: !orbit })}>
        {orbit ? "one at a time" : "reshape matching nodes together"}
      </WordButton>
    </Sentence>
  );
}

/** Ends that miss the mirror line, the wedge or each other by a little, and the action that mends them. */
function SeamPanel({ drawn }: { drawn: Drawn }) {
  const { report } = usePicture();
  const { words } = useLengthReadout();
  const { setHand } = useDeskStore().getState();
  const { paths, commit } = drawn;
  const misses = useMemo(() => {
    const chosen = report?.chosen;
    const back = chosen ? invert(chosen.working) : null;
    return chosen && back
      ? seamMisses(
          paths,
          chosen.marks.flatMap((placed) => seamLines(placed, back)),
          SEAM_TOLERANCE,
        )
      : [];
  }, [paths, report]);
  if (misses.length === 0) return null;
  return (
    <div className="text-[15px] leading-snug text-doubtful">
      {misses.map(({ node, missed, by }) => (
        <p key={node}>
          △ Node {node + 1} misses {missed} by {words(Number(by.toPrecision(3)))}
          <WordButton onClick={() => setHand({ tool: "nodes", nodes: new Set([node]) })}>show</WordButton>
        </p>
      ))}
      <WordButton onClick={() => commit(mendSeams(paths, misses), "mend the seam")}>mend the seam</WordButton>
    </div>
  );
}

function seamLines({ mark, toSheet }: PlacedMark, back: Matrix): SeamLine[] {
  const line = (through: { x: number; y: number }, angle: number, words: string): SeamLine => {
    const unit = { x: through.x + Math.sin((angle * Math.PI) / 180), y: through.y - Math.cos((angle * Math.PI) / 180) };
    const [from, to] = [through, unit].map((point) => apply(back, apply(toSheet, point)));
    const turned = from && to ? (Math.atan2(to.x - from.x, from.y - to.y) * 180) / Math.PI : angle;
    return { through: from ?? through, angle: turned, words };
  };
  if (mark.kind === "mirror") return [line(mark.through, mark.angle, "the mirror line")];
  if (mark.kind === "wedge")
    return [line(mark.pivot, mark.from, "the wedge line"), line(mark.pivot, mark.to, "the wedge line")];
  return [];
}

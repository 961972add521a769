import { useMemo } from "react";
import {
  countNodes,
  invert,
  mendSeams,
  nodeAt,
  nodeSymmetries,
  NODE_TYPES,
  seamMisses,
  setNodeType,
  mapNodes,
  apply,
  type Matrix,
  type NodeType,
  type PlacedMark,
  type SeamLine,
} from "@twin-petal/core";
import { useDesk, useDeskStore, useEditing } from "@/store/deskStore";
import { Choice } from "@/ui/choice";
import { Sentence } from "@/ui/sentence";
import { BoundNumber } from "../../fields/boundNumber";
import { WordButton } from "../../fields/wordButton";
import { useLengthReadout } from "../../stage/useLengthReadout";
import { useRested } from "@/ui/useRested";
import { nodeActions } from "../../stage/nodes/nodeActions";
import { ReshapeChosen } from "./reshapeChosen";
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
  const { paths, reshape } = drawn;
  const { setHand } = useDeskStore().getState();
  const { edit } = useEditing();
  const { report } = usePicture("report");
  const numbers = [...chosen];
  const [first = 0] = numbers;
  const node = nodeAt(paths, first);
  if (!node) return null;
  const single = numbers.length === 1;
  const types = new Set(numbers.map((number) => nodeAt(paths, number)?.type));
  const choose = (next: Iterable<number>) => setHand({ nodes: new Set(next), tool: "nodes" });
  const actions = nodeActions({ drawn, chosen, report: report?.chosen ?? null, choose, edit });
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
        {single ? " one." : "."} <ReshapeChosen drawn={drawn} chosen={chosen} />
      </Sentence>
      <p className="-mx-1 flex flex-wrap gap-y-1 pb-1">
        {actions.map(({ words, act }) => (
          <WordButton key={words} onClick={act}>
            {words}
          </WordButton>
        ))}
      </p>
    </div>
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
  const { report } = usePicture("report");
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

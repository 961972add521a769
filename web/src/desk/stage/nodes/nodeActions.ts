import {
  addBetween,
  apply,
  chosenSegments,
  cutOpen,
  everyNth,
  everyNthOf,
  grownChoice,
  invert,
  joinRuns,
  meetNodes,
  nodeAt,
  NODE_TYPES,
  removeNodes,
  setNodeType,
  type Point,
} from "@twin-petal/core";
import type { Edit } from "@/store/edit";
import { setField } from "@/store/edits/rules";
import type { ChosenReport } from "@/workers/frame";
import type { Drawn } from "./useDrawn";

/** What can be done to chosen nodes, in a few words. */
export interface NodeAction {
  readonly words: string;
  act: () => void;
}

interface NodeHands {
  readonly drawn: Drawn;
  readonly chosen: ReadonlySet<number>;
  /** What is known of the part on the ornament. */
  readonly report: ChosenReport | null;
  choose: (nodes: Iterable<number>) => void;
  edit: (edit: Edit) => void;
}

/** All that can be done to the chosen nodes as they are now: the words on the left and the menu at the nodes tell the same. */
export function nodeActions(hands: NodeHands): NodeAction[] {
  return [...shaping(hands), ...choosing(hands), ...ofTheOutline(hands), ...pivots(hands)];
}

/** The types nodes can have. */
export function typeActions({ drawn: { paths, reshape }, chosen }: NodeHands): NodeAction[] {
  return NODE_TYPES.map((type) => ({
    words: `make ${chosen.size === 1 ? "it" : "them"} ${type}`,
    act: () => reshape(paths, setNodeType(paths, chosen, type), chosen, `make nodes ${type}`),
  }));
}

function shaping({ drawn: { paths, commit }, chosen, choose }: NodeHands): NodeAction[] {
  const [first = 0, second] = [...chosen];
  const segments = chosenSegments(paths, chosen);
  const isPair = chosen.size === 2 && second !== undefined;
  const joined = isPair ? joinRuns(paths, first, second) : null;
  const met = isPair ? meetNodes(paths, first, second) : null;
  const between = (keepsChoice: boolean) => {
    const { paths: next, added } = addBetween(paths, segments);
    commit(next, segments.length === 1 ? "a node between" : `${added.length} nodes between`);
    choose(keepsChoice ? [...added, ...movedOn(chosen, added)] : added);
  };
  return [
    ...(segments.length > 0
      ? [
          { words: "nodes between", act: () => between(true) },
          { words: "between, only the new", act: () => between(false) },
        ]
      : []),
    ...(met
      ? [
          {
            words: "meet here",
            act: () => {
              commit(met, "segments meet where they cross");
              choose([]);
            },
          },
        ]
      : []),
    ...(joined
      ? [
          {
            words: "join them",
            act: () => {
              commit(joined, "join two ends");
              choose([]);
            },
          },
        ]
      : []),
    {
      words: "remove",
      act: () => {
        commit(removeNodes(paths, chosen), chosen.size === 1 ? "remove a node" : `remove ${chosen.size} nodes`);
        choose([]);
      },
    },
  ];
}

/** The numbers that nodes have after others were added among them; `added` are the new numbers of those. */
function movedOn(chosen: ReadonlySet<number>, added: readonly number[]): number[] {
  const taken = new Set(added);
  const free: number[] = [];
  const last = Math.max(0, ...chosen) + added.length;
  for (let number = 0; number <= last; number++) if (!taken.has(number)) free.push(number);
  return [...chosen].flatMap((number) => free[number] ?? []);
}

const NTHS = [
  { n: 2, words: "every second" },
  { n: 3, words: "every third" },
  { n: 4, words: "every fourth" },
];

function choosing({ drawn: { paths }, chosen, choose }: NodeHands): NodeAction[] {
  const [first = 0] = [...chosen];
  const everyOne = (n: number) => (chosen.size === 1 ? everyNth(paths, first, n) : everyNthOf(paths, chosen, n));
  return [
    ...NTHS.map(({ n, words }) => ({ words, act: () => choose(everyOne(n)) })),
    { words: "one more each way", act: () => choose(grownChoice(paths, chosen)) },
    { words: "choose none", act: () => choose([]) },
  ];
}

function ofTheOutline({ drawn: { paths, commit, part }, chosen, edit }: NodeHands): NodeAction[] {
  const [first = 0] = [...chosen];
  if (chosen.size !== 1) return [];
  const start = first === 0 ? undefined : first;
  return [
    { words: "cut open here", act: () => commit(cutOpen(paths, first), "cut the outline open") },
    { words: "begin here", act: () => edit(setField(part.id, "motif", "start", start, "begin the outline here")) },
  ];
}

/** For each rule with a pivot: sets it where the chosen node stands on the copy that is worked on. */
function pivots({ drawn: { paths, part }, chosen, report, edit }: NodeHands): NodeAction[] {
  const node = chosen.size === 1 ? nodeAt(paths, [...chosen][0] ?? 0) : null;
  if (!node || report?.id !== part.id) return [];
  return report.marks.flatMap(({ rule, toSheet, mark }): NodeAction[] => {
    const back = mark.kind === "pivot" && invert(toSheet);
    const kind = part.rules[rule]?.kind;
    if (!back || kind === undefined) return [];
    const { x, y } = apply(back, apply(report.working, node));
    const pivot = { x: Number(x.toFixed(4)), y: Number(y.toFixed(4)) };
    const act = () => edit(setField(part.id, { rule }, mark.field, pivot, `pivot of the ${kind} at a node`));
    return [{ words: `${kind} about it`, act }];
  });
}

/** The pivot of the part's first rule that has one, in the space of the motif that is worked on; null where there is none. */
export function pivotOf(report: ChosenReport | null): Point | null {
  const placed = report?.marks.find(({ mark }) => mark.kind === "pivot");
  const back = report && invert(report.working);
  return placed?.mark.kind === "pivot" && back ? apply(back, apply(placed.toSheet, placed.mark.at)) : null;
}

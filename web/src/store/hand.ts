/** What the pointer does on the sheet: look around and pull handles, edit nodes, draw segments, draw freehand, measure. */
export type Tool = "look" | "nodes" | "draw" | "freehand" | "measure";

/** The design as it was opened; only the sources; only lines. */
export type HeldLook = "before" | "source" | "lines";

/** The places of the fill's colours, the crossings of a weave, the faces of a join. */
export type Touched = "fill" | "crossings" | "faces";

export const STRIPS = ["neighbours", "gaps", "build-up"] as const;
export type StripName = (typeof STRIPS)[number];

/** What the hand holds; none of it belongs to the design. */
export interface Hand {
  readonly tool: Tool;
  /** Chosen nodes of the drawn motif, counted through all its runs. */
  readonly nodes: ReadonlySet<number>;
  /** Whether nodes that match are reshaped together. */
  readonly orbit: boolean;
  /** The copy of the chosen part that is worked on. */
  readonly copy: number;
  /** The chosen freehand stroke. */
  readonly stroke: number | null;
  /** Whether the close-up has the large place and the sheet the small one. */
  readonly swapped: boolean;
  /** How many copies of the chosen part its build-up has come to; null while it is not replayed. */
  readonly built: number | null;
  /** The copy of the chosen part that is pointed at, on the sheet or in the gap chart. */
  readonly pointed: number | null;
  /** Another way of seeing the ornament, as long as a key or a button is held. */
  readonly held: HeldLook | null;
  /** Whether the middle of the desk shows the solid in place of the sheet. */
  readonly solid: boolean;
  /** Whether the sheet is shown as it is sewn, in place of its flat colours. */
  readonly thread: boolean;
  /** Whether the words say everything, in place of what is set only. */
  readonly sayAll: boolean;
  /** Whether the shelf stands beside the sheet. */
  readonly shelf: boolean;
  /** What the strip along the bottom shows. */
  readonly strip: StripName;
  /** What of the chosen part the pointer changes on the sheet, in place of its handles. */
  readonly touching: Touched | null;
  /** What faces are painted with; null leaves them hollow. */
  readonly brush: string | null;
  /** The step of a walk its replay has come to; null while it is not replayed. */
  readonly walked: number | null;
}

/** What is let go of when another part is chosen. */
export const NOTHING_IN_HAND = {
  nodes: new Set<number>(),
  copy: 0,
  stroke: null,
  walked: null,
  built: null,
  pointed: null,
  touching: null,
} as const;

export const EMPTY_HAND: Hand = {
  tool: "look",
  orbit: false,
  swapped: false,
  solid: false,
  thread: false,
  sayAll: false,
  shelf: false,
  held: null,
  strip: "neighbours",
  brush: "#C8442B",
  ...NOTHING_IN_HAND,
};

import {
  FILL_STITCH_DEFAULT,
  LINE_STITCH_DEFAULT,
  NOT_SEWN,
  STITCH_DEFAULT,
  type FillStitchValue,
  type LineStitchValue,
  type Part,
  type StitchValue,
} from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";

/** A line of the finish at least this wide is sewn as a band, millimetres. */
const BAND = 1;

/** How a part is sewn, as it stands: what its finish comes to where it says nothing of its own. */
export function stitchValueOf({ stitch, finish }: Pick<Part, "stitch" | "finish">): StitchValue | typeof NOT_SEWN {
  return stitch ?? { ...STITCH_DEFAULT, fill: finish.fill === null ? null : FILL_STITCH_DEFAULT, line: lineOf(finish) };
}

function lineOf({ line }: Part["finish"]): LineStitchValue | null {
  if (!line || line.width === 0) return null;
  const isBand = typeof line.width === "string" || line.width >= BAND;
  return isBand ? { ...LINE_STITCH_DEFAULT, kind: "satin", width: line.width, place: line.place } : LINE_STITCH_DEFAULT;
}

/** Changes how a part is sewn; what its finish said until then is kept. */
export function changeStitch(part: string, change: Partial<StitchValue>, label: string, gesture?: string): Edit {
  return stitchEdit(part, label, (before) => ({ ...before, ...change }), gesture);
}

/** Changes how a part's outline is sewn. */
export function changeLine(part: string, change: Partial<LineStitchValue>, label: string, gesture?: string): Edit {
  return stitchEdit(
    part,
    label,
    (before) => ({ ...before, line: { ...(before.line ?? LINE_STITCH_DEFAULT), ...change } }),
    gesture,
  );
}

/** Changes how a part's area is sewn. */
export function changeFill(part: string, change: Partial<FillStitchValue>, label: string, gesture?: string): Edit {
  return stitchEdit(
    part,
    label,
    (before) => ({ ...before, fill: { ...(before.fill ?? FILL_STITCH_DEFAULT), ...change } }),
    gesture,
  );
}

/** Sews a part as its finish says, or not at all. */
export function setStitch(part: string, stitch: null | typeof NOT_SEWN, label: string): Edit {
  return partEdit(part, label, (draft) => {
    draft.stitch = stitch;
  });
}

/** Leaves more room between the stitches of a part, by a factor. */
export function thinOut({ id, name, stitch, finish }: Part, by: number): Edit {
  const value = stitchValueOf({ stitch, finish });
  const wider = (spacing: StitchSpacing) =>
    typeof spacing === "number"
      ? Number((Math.ceil(spacing * by * 20) / 20).toFixed(2))
      : `(${spacing}) * ${by.toFixed(2)}`;
  if (value === NOT_SEWN) return { label: "thin it out", apply: () => undefined };
  const { fill, line } = value;
  return changeStitch(
    id,
    {
      fill: fill && { ...fill, spacing: wider(fill.spacing) },
      line: line && { ...line, spacing: wider(line.spacing) },
    },
    `thin out ${name}`,
  );
}

type StitchSpacing = FillStitchValue["spacing"];

function stitchEdit(part: string, label: string, change: (before: StitchValue) => StitchValue, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      const before = stitchValueOf(draft);
      draft.stitch = castDraft(change(before === NOT_SEWN ? STITCH_DEFAULT : before));
    },
    gesture && `${part}/stitch/${gesture}`,
  );
}

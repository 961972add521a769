import {
  apply,
  directionOf,
  invert,
  isPair,
  polar,
  type FieldValue,
  type Mark,
  type Part,
  type PlacedMark,
  type Point,
} from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { setField } from "@/store/edits/rules";
import { DropMark } from "./drop";
import { Handle } from "./handle";
import { useLengthReadout } from "./useLengthReadout";
import { usePulledFormula } from "./pulledFormula";

const LEAST = 0.01;

interface RadiusHandleProps {
  readonly part: Part;
  readonly placed: PlacedMark;
  readonly mark: Extract<Mark, { kind: "radius" }>;
}

/** A ring's radius, on a drop that points outwards; an ellipse has one for each half axis. */
export function RadiusHandle({ part, placed, mark }: RadiusHandleProps) {
  const stored = part.rules[placed.rule]?.[mark.field];
  const { x, y } = mark.radii;
  if (typeof stored === "object") {
    return (
      <>
        <Drop part={part} placed={placed} mark={mark} axis="x" at={{ x, y: 0 }} outwards={90} />
        <Drop part={part} placed={placed} mark={mark} axis="y" at={{ x: 0, y: -y }} outwards={0} />
      </>
    );
  }
  return <Drop part={part} placed={placed} mark={mark} axis={null} at={polar(x, mark.start)} outwards={mark.start} />;
}

interface DropProps extends RadiusHandleProps {
  /** The half axis it sets; null where one number stands for both. */
  readonly axis: "x" | "y" | null;
  readonly at: Point;
  readonly outwards: number;
}

function Drop({ part, placed: { rule, toSheet }, mark, axis, at, outwards }: DropProps) {
  const edit = useDesk((state) => state.edit);
  const pullFormula = usePulledFormula();
  const { words, rounded, nudge } = useLengthReadout();
  const back = invert(toSheet);
  if (!back) return null;
  const stored = part.rules[rule]?.[mark.field];
  const pull = (to: Point, gesture: string) => {
    const local = apply(back, to);
    const distance = axis === null ? Math.hypot(local.x, local.y) : Math.abs(local[axis]);
    const radius = Math.max(LEAST, rounded(distance));
    const change = `radius → ${words(radius)}`;
    const own = axis && isPair(stored) ? stored[axis] : stored;
    if (typeof own === "string") return pullFormula("radius", own, radius, change, gesture);
    const next: FieldValue =
      axis && isPair(stored) ? { x: axis === "x" ? radius : stored.x, y: axis === "y" ? radius : stored.y } : radius;
    edit(setField(part.id, { rule }, mark.field, next, change, `${part.id}/${rule}/${mark.field}/${gesture}`));
  };
  const onSheet = apply(toSheet, at);
  const turn = directionOf(onSheet, apply(toSheet, polar(1, outwards, at)));
  const radius = axis === null ? mark.radii.x : mark.radii[axis];
  return (
    <Handle
      label={axis === null ? "Radius of the ring" : axis === "x" ? "Radius across" : "Radius down"}
      at={onSheet}
      readout={words(radius)}
      nudge={nudge}
      onPull={pull}
    >
      <DropMark turn={turn} />
    </Handle>
  );
}

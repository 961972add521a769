import { apply, directionOf, invert, type Mark, type Part, type PlacedMark, type Point } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { setFields } from "@/store/edits/rules";
import { DropMark } from "./drop";
import { Handle } from "./handle";
import { useLengthReadout } from "./useLengthReadout";

interface VectorHandlesProps {
  readonly part: Part;
  readonly placed: PlacedMark;
  readonly mark: Extract<Mark, { kind: "vectors" }>;
}

/** The two sides of a free lattice's cell, each pulled by its end to any length and direction. */
export function VectorHandles({ part, placed: { rule, toSheet }, mark }: VectorHandlesProps) {
  const edit = useDesk((state) => state.edit);
  const { words, rounded, nudge } = useLengthReadout();
  const back = invert(toSheet);
  if (!back) return null;
  const origin = apply(toSheet, { x: 0, y: 0 });
  const side = (name: "a" | "b", which: string, at: Point) => (
    <Handle
      label={`${which} side of the lattice`}
      at={apply(toSheet, at)}
      readout={`${words(at.x)} across, ${words(at.y)} down`}
      nudge={nudge}
      onPull={(to, gesture) => {
        const { x, y } = apply(back, to);
        const next = { x: rounded(x), y: rounded(y) };
        // The other side stays as the design has it: the picture may be behind.
        const isStored = Boolean(part.rules[rule]?.vectors);
        const changes = isStored ? { [`vectors.${name}`]: next } : { vectors: { a: mark.a, b: mark.b, [name]: next } };
        const label = `${which.toLowerCase()} side → ${words(next.x)}, ${words(next.y)}`;
        edit(setFields(part.id, { rule }, changes, label, `${part.id}/${rule}/vectors/${gesture}`));
      }}
    >
      <DropMark turn={directionOf(origin, apply(toSheet, at))} />
    </Handle>
  );
  return (
    <>
      {side("a", "First", mark.a)}
      {side("b", "Second", mark.b)}
    </>
  );
}

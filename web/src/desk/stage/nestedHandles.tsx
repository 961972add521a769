import { apply, invert, storedMembers, type Matrix, type Motif, type Part, type Point } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { setNestedPlace } from "@/store/edits/nested";
import type { FieldOwner } from "@/store/edits/owners";
import { Handle } from "./handle";
import { useLengthReadout } from "./useLengthReadout";
import { MotifHandles, useNestedPlace } from "./motifHandles";

interface NestedHandlesProps {
  readonly part: Part;
  readonly toSheet: Matrix;
  /** Where other handles stand on the sheet; they go before. */
  readonly taken: readonly Point[];
}

/** Cutouts and combined motifs on the sheet: each is dragged by its middle and has its numbers on handles. */
export function NestedHandles({ part, toSheet, taken }: NestedHandlesProps) {
  const members = storedMembers(part.motif);
  return (
    <>
      {part.cutouts.map((motif, index) => (
        <Nested
          key={`cutout${index}`}
          part={part.id}
          owner={{ cutout: index }}
          motif={motif}
          within={toSheet}
          taken={taken}
          word={`cutout ${index + 1}`}
        />
      ))}
      {members.map((motif, index) => (
        <Nested
          key={`member${index}`}
          part={part.id}
          owner={{ member: index }}
          motif={motif}
          within={toSheet}
          taken={taken}
          word={`shape ${index + 1}`}
        />
      ))}
    </>
  );
}

interface SecondShapeHandlesProps {
  readonly part: string;
  /** The rule that leads to it, by its number. */
  readonly rule: number;
  readonly motif: Motif;
  readonly toSheet: Matrix;
}

/** The shape a rule leads to, on the sheet. */
export function SecondShapeHandles({ part, rule, motif, toSheet }: SecondShapeHandlesProps) {
  return <Nested part={part} owner={{ to: rule }} motif={motif} within={toSheet} taken={[]} word="the second shape" />;
}

interface NestedProps {
  readonly part: string;
  readonly owner: Exclude<FieldOwner, "motif">;
  readonly motif: Motif;
  readonly within: Matrix;
  readonly word: string;
  readonly taken: readonly Point[];
}

function Nested({ part, owner, motif, within, word, taken }: NestedProps) {
  const { edit } = useEditing();
  const { words, rounded, nudge } = useLengthReadout();
  const placeOf = useNestedPlace();
  const back = invert(within);
  if (!back) return null;
  const toSheet = placeOf(motif, within);
  const origin = apply(toSheet, { x: 0, y: 0 });
  const at = apply(back, origin);
  return (
    <>
      <Handle
        label={`Place of ${word}`}
        at={origin}
        readout={`${words(at.x)} across, ${words(at.y)} down`}
        nudge={nudge}
        onPull={(to, gesture) => {
          const { x, y } = apply(back, to);
          edit(setNestedPlace(part, owner, { x: rounded(x), y: rounded(y) }, `move ${word}`, gesture));
        }}
      >
        <path d="M0-6 6 0 0 6-6 0Z" fill="#2B2140" stroke="#FFFFFF" strokeWidth={2} />
        <circle r={1.5} fill="#FFFFFF" />
      </Handle>
      <MotifHandles part={part} owner={owner} motif={motif} toSheet={toSheet} taken={[...taken, origin]} />
    </>
  );
}

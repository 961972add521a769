import { apply, directionOf, invert, polar, type Mark, type Part, type PlacedMark, type Point } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { setFields } from "@/store/edits/rules";
import { DropMark } from "./drop";
import { Handle } from "./handle";
import { useLengthReadout } from "./useLengthReadout";

interface SecondCopyProps {
  readonly part: Part;
  readonly placed: PlacedMark;
  readonly mark: Extract<Mark, { kind: "second" }>;
}

/** The nearest a tip may be pulled to the pivot, in shares of its distance: no copy shrinks to nothing. */
const LEAST = 0.01;

/**
 * The second copy of a step, dragged to where it should be: by its foot it is moved, by its tip it is turned and
 * scaled about its foot. The step is computed from where it stands.
 */
export function SecondCopyHandles({ part, placed: { rule, toSheet }, mark }: SecondCopyProps) {
  const edit = useDesk((state) => state.edit);
  const { words, nudge } = useLengthReadout();
  const back = invert(toSheet);
  if (!back) return null;
  const { pivot, tip, turn, scale, move } = mark;
  const foot = { x: pivot.x + move.x, y: pivot.y + move.y };
  const arm = { x: (tip.x - pivot.x) * scale.x, y: (tip.y - pivot.y) * scale.y };
  const reach = Math.hypot(arm.x, arm.y);
  const heading = directionOf({ x: 0, y: 0 }, arm);
  const far = polar(reach, heading + turn, foot);
  const key = (gesture: string) => `${part.id}/${rule}/second/${gesture}`;
  const owner = { rule };

  const pullFoot = (to: Point, gesture: string) => {
    const place = apply(back, to);
    const next = { x: tidy(place.x - pivot.x, 2), y: tidy(place.y - pivot.y, 2) };
    const label = `second copy moved ${words(next.x)}, ${words(next.y)}`;
    edit(setFields(part.id, owner, { move: next }, label, key(gesture)));
  };
  const pullTip = (to: Point, gesture: string) => {
    const place = apply(back, to);
    const ratio = Math.max(LEAST, Math.hypot(place.x - foot.x, place.y - foot.y) / reach);
    const seen = directionOf(foot, place) - heading;
    const next = tidy(seen + 360 * Math.round((turn - seen) / 360), 2);
    const factors = { x: tidy(scale.x * ratio, 4), y: tidy(scale.y * ratio, 4) };
    const changes = { turn: next, scale: factors.x === factors.y ? factors.x : factors };
    edit(setFields(part.id, owner, changes, `second copy turned ${next}°, scaled ${factors.x}`, key(gesture)));
  };
  return (
    <>
      <Handle
        label="Foot of the second copy"
        at={apply(toSheet, foot)}
        readout={`moves ${words(move.x)}, ${words(move.y)}`}
        nudge={nudge}
        onPull={pullFoot}
      >
        <path d="M-7 3Q0-9 7 3Q0 8-7 3Z" fill="#2B2140" stroke="#FFFFFF" strokeWidth={1.8} />
      </Handle>
      {reach > 1e-6 && (
        <Handle
          label="Tip of the second copy"
          at={apply(toSheet, far)}
          readout={`turns ${tidy(turn, 2)}°, scales ${tidy(scale.x, 4)}`}
          nudge={nudge}
          onPull={pullTip}
        >
          <DropMark turn={directionOf(apply(toSheet, foot), apply(toSheet, far)) + 90} />
        </Handle>
      )}
    </>
  );
}

function tidy(value: number, places: number): number {
  return Number(value.toFixed(places));
}

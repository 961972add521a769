import { unwaited } from "@/api/unwaited";
import { useRef, useState, type KeyboardEvent } from "react";
import { ANCHOR, distance, type AnchorValue, type MeasuredCopy, type Point } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { addGuide } from "@/store/edits/guides";
import { arrowMove } from "@/ui/arrows";
import { pixelOf } from "@/ui/pixelOf";
import { useDrag } from "@/ui/useDrag";
import { Cross } from "../cross";
import { PointerPanel } from "../pointerPanel";
import { usePicture } from "../pictureContext";
import type { Snapped } from "../snap/snap";
import { useSnap } from "../snap/useSnap";
import { useSurface } from "../surface";
import { useLengthReadout } from "../useLengthReadout";
import { DimensionMark } from "./dimensionMark";
import { useMeasureWords } from "./useMeasureWords";

/** Pixels the pointer must be pulled for a measure to end where it is let go, not at the next click. */
const PULL = 4;

interface Pair {
  readonly from: Snapped;
  readonly to: Snapped;
}

/** Measures between places that are clicked, or from where a pull begins to where it ends; tells what is pointed at. */
export function MeasureLayer() {
  const surface = useSurface();
  const snapTo = useSnap();
  const { painter } = usePicture("painter");
  const { edit } = useEditing();
  const { nudge, rounded } = useLengthReadout();
  const { between, ofCopy } = useMeasureWords();
  const [from, setFrom] = useState<Snapped | null>(null);
  const [hover, setHover] = useState<Snapped | null>(null);
  const [pair, setPair] = useState<Pair | null>(null);
  const [pointedAt, setPointedAt] = useState<MeasuredCopy | null>(null);
  const [isByKeys, setByKeys] = useState(false);
  const isAsking = useRef(false);

  const lookAt = (spot: Snapped) => {
    setHover(spot);
    // One question at a time: a quick hand must not queue them.
    if (isAsking.current) return;
    isAsking.current = true;
    unwaited(
      painter.measureAt(spot.point, surface.scale).then((found) => {
        isAsking.current = false;
        setPointedAt(found);
      }),
    );
  };
  const place = (spot: Snapped) => {
    if (from) {
      setPair({ from, to: spot });
      setFrom(null);
    } else {
      setFrom(spot);
      setPair(null);
    }
  };
  const leave = () => {
    if (!pair) return;
    const dimension = { from: anchorOf(pair.from), to: anchorOf(pair.to) };
    edit(addGuide({ dimension }, `leave a measure of ${between(pair.from.point, pair.to.point)[0]}`));
    setPair(null);
  };
  const spotAt = (pixel: Point, isFree: boolean) => snapTo(surface.motif(pixel), [], isFree);
  /** Keys go to a place step by step: only what is nearer than half a step is meant. */
  const nearKeys = (at: Point): Snapped => {
    const near = snapTo(at, [], false);
    return distance(near.point, at) <= nudge / 2 ? near : { point: at, words: null };
  };
  const drag = useDrag<{ readonly began: boolean }>({
    grasp(event) {
      setByKeys(false);
      const began = from === null;
      place(spotAt(pixelOf(event), event.ctrlKey || event.metaKey));
      return { began };
    },
    onMove: (_held, { to, event }) => lookAt(spotAt(to, event.ctrlKey || event.metaKey)),
    onEnd({ began }, moved) {
      if (began && moved && from && hover) {
        setPair({ from, to: hover });
        setFrom(null);
      }
    },
    onHover: (event) => lookAt(spotAt(pixelOf(event), event.ctrlKey || event.metaKey)),
    begins: PULL,
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const move = arrowMove(event, nudge);
    const at = hover?.point ?? { x: 0, y: 0 };
    if (move) {
      setByKeys(true);
      const next = { x: rounded(at.x + move.x), y: rounded(at.y + move.y) };
      // The keys go on from where they are: what is near is taken when the place is.
      setHover({ point: next, words: null });
    } else if (event.key === " ") place(nearKeys(at));
    else if (event.key === "Enter") leave();
    else if (event.key === "Escape") {
      setFrom(null);
      setPair(null);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };

  const shown = pair ?? (from && hover ? { from, to: hover } : null);
  const lines = hover
    ? [
        hover.words,
        ...(shown && !pair ? between(shown.from.point, shown.to.point) : pointedAt ? ofCopy(pointedAt) : []),
      ]
    : [];
  return (
    <g
      role="application"
      tabIndex={0}
      id="measure-layer"
      aria-label="Measuring. Arrow keys move the point, space places it, Enter leaves the measure lying, Escape drops it."
      className="pointer-events-auto touch-none outline-none"
      {...drag}
      onPointerLeave={() => setHover(null)}
      onKeyDown={onKeyDown}
    >
      <rect width="100%" height="100%" fill="transparent" className="cursor-crosshair" />
      {shown && (
        <DimensionMark
          from={surface.screen(shown.from.point)}
          to={surface.screen(shown.to.point)}
          words={between(shown.from.point, shown.to.point)[0]}
        />
      )}
      {hover && isByKeys && <Cross at={surface.screen(hover.point)} />}
      {hover && <PointerPanel at={surface.screen(hover.point)} lines={lines} />}
      {pair && <LeaveButton at={surface.screen(pair.to.point)} onLeave={leave} />}
      <text className="sr-only" aria-live="polite">
        {pair ? between(pair.from.point, pair.to.point).join(", ") : ""}
      </text>
    </g>
  );
}

/** What a snapped place is held on to by. */
function anchorOf({ point: { x, y }, anchor }: Snapped): AnchorValue {
  return { ...ANCHOR.complete({}), ...anchor, x, y };
}

function LeaveButton({ at, onLeave }: { at: Point; onLeave: () => void }) {
  return (
    <foreignObject x={at.x + 14} y={at.y - 34} width={130} height={30}>
      <button
        type="button"
        onPointerDown={(event) => event.stopPropagation()}
        onClick={onLeave}
        className="rounded-md border border-hairline bg-surface px-2 text-[14px] text-words hover:border-quiet"
      >
        leave it lying
      </button>
    </foreignObject>
  );
}

import { useState, type KeyboardEvent, type RefObject } from "react";
import type { Point } from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { useDrag } from "@/ui/useDrag";
import type { Place } from "@/solid/solidPicture";
import { DropMark } from "./stage/drop";
import type { SolidHandle } from "./solidHandles";

interface SolidDropProps {
  readonly handle: SolidHandle;
  /** Where points in space are seen at the moment. */
  readonly place: RefObject<Place | null>;
  /** Its element, which is moved after every picture. */
  readonly element: (element: HTMLElement | null) => void;
}

const LABELS = { depth: "Depth", tilt: "Tip raised" } as const;
/** A number seen end on cannot be pulled: fewer pixels than this for one more of it. */
const LEAST = 0.05;

/** A drop in the solid view: pulled the way it points, a number follows. */
export function SolidDrop({ handle, place, element }: SolidDropProps) {
  const { edit } = useEditing();
  const [pulled, setPulled] = useState(false);
  const drag = useDrag<{ value: number; onward: Point }>({
    grasp() {
      const [at, onward] = [place.current?.(handle.at), place.current?.(handle.onward)];
      if (!at || !onward) return null;
      setPulled(true);
      return { value: handle.value, onward: { x: onward.x - at.x, y: onward.y - at.y } };
    },
    onMove({ value, onward }, { from, to, gesture }) {
      const length = onward.x ** 2 + onward.y ** 2;
      if (length < LEAST ** 2) return;
      const along = ((to.x - from.x) * onward.x + (to.y - from.y) * onward.y) / length;
      edit(handle.set(value + along, gesture));
    },
    onEnd: () => setPulled(false),
    begins: 0,
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const steps = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (steps === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    edit(handle.set(handle.value + steps * handle.step * (event.shiftKey ? 10 : 1), "keys"));
  };
  const readout = `${handle.value}${handle.unit}`;
  return (
    <button
      ref={element}
      type="button"
      aria-label={`${LABELS[handle.name]}, ${readout}. Arrow keys change it.`}
      title={LABELS[handle.name]}
      className="absolute top-0 left-0 -m-4 size-8 cursor-move touch-none"
      style={{ visibility: "hidden" }}
      {...drag}
      onKeyDown={onKeyDown}
    >
      <svg width={32} height={32} viewBox="-16 -16 32 32" aria-hidden="true">
        <g className="drop">
          <DropMark turn={0} small={handle.name === "tilt"} />
        </g>
      </svg>
      {pulled && (
        <span className="absolute bottom-7 left-7 rounded border border-hairline bg-surface px-1 font-mono text-[13px] whitespace-nowrap">
          {readout}
        </span>
      )}
    </button>
  );
}

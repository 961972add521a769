import { useState } from "react";
import type { Point } from "@twin-petal/core";

interface PlaceInputProps {
  /** Pixels. */
  readonly at: Point;
  /** The key that began it. */
  readonly begun: string;
  /** Takes what was typed; false where it is no place. */
  onPlace: (text: string) => boolean;
  onLeave: () => void;
}

/** A place typed beside the pointer. */
export function PlaceInput({ at, begun, onPlace, onLeave }: PlaceInputProps) {
  const [text, setText] = useState(begun);
  const [isWrong, setWrong] = useState(false);
  return (
    <foreignObject x={at.x + 14} y={at.y - 44} width={260} height={60}>
      <input
        autoFocus
        aria-label="Place of the next point"
        aria-invalid={isWrong}
        value={text}
        onPointerDown={(event) => event.stopPropagation()}
        onChange={(event) => {
          setText(event.target.value);
          setWrong(false);
        }}
        onBlur={onLeave}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === "Escape") onLeave();
          if (event.key === "Enter") setWrong(!onPlace(text));
        }}
        className="w-36 rounded-md border border-hairline bg-surface px-2 py-0.5 font-mono text-[14px] text-words aria-invalid:border-failed"
      />
      {isWrong && (
        <p className="mt-0.5 w-fit rounded bg-surface px-1 text-[13px] text-failed">like 12, -30 or 15 at 40</p>
      )}
    </foreignObject>
  );
}

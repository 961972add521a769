import type { Part, WovenCrossing } from "@twin-petal/core";
import { toScreen } from "@/paint/view";
import { useEditing } from "@/store/deskStore";
import { flipCrossing } from "@/store/edits/join";
import { usePicture } from "./pictureContext";

/** The crossings of a weave, each turned over by a click or a key. */
export function CrossingMarks({ part, crossings }: { part: Part; crossings: readonly WovenCrossing[] }) {
  const { view, size } = usePicture("view", "size");
  const { edit } = useEditing();
  if (!view || !size) return null;
  return crossings.map(({ key, point, flipped, fails }, index) => {
    const { x, y } = toScreen(view, size, point);
    const flip = () => edit(flipCrossing(part.id, key, flipped));
    return (
      <g
        key={key}
        role="button"
        tabIndex={0}
        aria-pressed={flipped}
        aria-label={`Crossing ${index + 1}${flipped ? ", flipped" : ""}${fails ? ", cannot alternate" : ""}`}
        transform={`translate(${x} ${y})`}
        className="group pointer-events-auto cursor-pointer outline-none"
        onPointerDown={(event) => event.stopPropagation()}
        onClick={flip}
        onKeyDown={(event) => {
          if (event.key !== "Enter" && event.key !== " ") return;
          event.preventDefault();
          event.stopPropagation();
          flip();
        }}
      >
        <title>{fails ? "Here a strand cannot go over and under in turn" : "Turn this crossing over"}</title>
        <circle r={11} fill="transparent" className="group-focus-visible:stroke-words" strokeWidth={2} />
        <path
          d="M0-6.5Q6.5 0 0 6.5Q-6.5 0 0-6.5Z"
          transform={`rotate(${flipped ? 90 : 0})`}
          fill={fails ? "#B3261E" : flipped ? "var(--live)" : "#2B2140"}
          stroke="#FFFFFF"
          strokeWidth={1.5}
          className="group-hover:[stroke-width:3]"
        />
      </g>
    );
  });
}

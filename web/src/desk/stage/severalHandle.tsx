import { unwaited } from "@/api/unwaited";
import { useEffect, useRef, useState } from "react";
import { isEmpty, type Box, type Design, type Point } from "@twin-petal/core";
import { toScreen } from "@/paint/view";
import { useDeskStore } from "@/store/deskStore";
import { moveSeveral } from "@/store/edits/several";
import { middleOf, unionOf } from "../column/severalParts";
import { Handle } from "./handle";
import { usePicture } from "./pictureContext";
import { useLengthReadout } from "./useLengthReadout";

/** Several chosen parts on the sheet: the box they cover, and its middle to pull them by. */
export function SeveralHandle({ ids }: { ids: readonly string[] }) {
  const store = useDeskStore();
  const { painter, report, view, size } = usePicture("painter", "report", "view", "size");
  const { words, nudge, rounded } = useLengthReadout();
  const [box, setBox] = useState<Box | null>(null);
  const begun = useRef<{ readonly gesture: string; readonly from: Design; readonly middle: Point } | null>(null);
  const key = ids.join(" ");
  useEffect(() => {
    let wanted = true;
    unwaited(painter.boxes().then((boxes) => wanted && setBox(unionOf(boxes, key.split(" ")))));
    return () => {
      wanted = false;
    };
  }, [painter, report, key]);
  if (!box || isEmpty(box) || !view || !size) return null;
  const middle = middleOf(box);
  const [from, to] = [
    toScreen(view, size, { x: box.left, y: box.top }),
    toScreen(view, size, { x: box.right, y: box.bottom }),
  ];
  return (
    <>
      {["#FFFFFF", "#2B2140"].map((stroke, layer) => (
        <rect
          key={stroke}
          x={from.x}
          y={from.y}
          width={to.x - from.x}
          height={to.y - from.y}
          fill="none"
          stroke={stroke}
          strokeWidth={layer === 0 ? 2 : 1}
          strokeDasharray={layer === 0 ? undefined : "5 4"}
        />
      ))}
      <Handle
        label="Place of the chosen parts"
        at={middle}
        readout={`${words(middle.x)} across, ${words(middle.y)} down`}
        nudge={nudge}
        onPull={(point, gesture) => {
          if (begun.current?.gesture !== gesture || gesture.startsWith("keys")) {
            begun.current = { gesture, from: store.getState().history.design, middle };
          }
          const { from: design, middle: start } = begun.current;
          const by = { x: rounded(point.x - start.x), y: rounded(point.y - start.y) };
          store.getState().edit(moveSeveral(design, ids, by, gesture));
        }}
      >
        <path d="M0-8 8 0 0 8-8 0Z" fill="#2B2140" stroke="#FFFFFF" strokeWidth={2} />
        <circle r={2} fill="#FFFFFF" />
      </Handle>
    </>
  );
}

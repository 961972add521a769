import { unwaited } from "@/api/unwaited";
import { useEffect, useState, type MouseEvent } from "react";
import type { Matrix, Part, Point } from "@twin-petal/core";
import { toSheet } from "@/paint/view";
import { useDesk, useEditing } from "@/store/deskStore";
import { paintFace, paintFaces } from "@/store/edits/join";
import type { FoundFace } from "@/workers/frame";
import { usePicture } from "./pictureContext";

/** Paints the face under the pointer and all that are coloured with it; with Alt the one alone. */
export function FaceBrush({ part, sheetToScreen }: { part: Part; sheetToScreen: Matrix }) {
  const { painter, view, size, report } = usePicture("painter", "view", "size", "report");
  const { edit } = useEditing();
  const brush = useDesk((state) => state.hand.brush);
  const [found, setFound] = useState<FoundFace | null>(null);
  const [pointed, setPointed] = useState<{ at: Point; alone: boolean } | null>(null);
  // Asked anew where the pointer rests while another picture comes.
  useEffect(() => {
    if (!pointed) return;
    let wanted = true;
    unwaited(painter.faceAt(part.id, pointed.at).then((face) => wanted && setFound(face)));
    return () => {
      wanted = false;
    };
  }, [painter, part.id, pointed, report]);
  if (!view || !size) return null;

  const placeOf = (event: MouseEvent): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return toSheet(view, size, { x: event.clientX - box.left, y: event.clientY - box.top });
  };
  const point = (event: MouseEvent) => setPointed({ at: placeOf(event), alone: event.altKey });
  const paint = (event: MouseEvent) => {
    const alone = event.altKey;
    unwaited(
      painter.faceAt(part.id, placeOf(event)).then((face) => {
        if (!face) return;
        edit(alone ? paintFace(part.id, face.name, brush) : paintFaces(part, face, brush));
      }),
    );
  };
  const shared = {
    fill: "none",
    transform: `matrix(${sheetToScreen.join(" ")})`,
    vectorEffect: "non-scaling-stroke",
    pointerEvents: "none",
  } as const;
  const outline = pointed && found && (pointed.alone ? found.outline : found.alike);
  return (
    <g>
      <rect
        width={size.width}
        height={size.height}
        fill="transparent"
        className="pointer-events-auto cursor-crosshair"
        data-testid="face-brush"
        onPointerMove={point}
        onPointerLeave={() => setPointed(null)}
        onClick={paint}
      >
        <title>A click paints all faces of an orbit; with Alt the one alone</title>
      </rect>
      {outline && (
        <>
          <path {...shared} d={outline} stroke="#FFFFFF" strokeWidth={4} />
          <path {...shared} d={outline} stroke="var(--live)" strokeWidth={2} data-testid="orbit" />
        </>
      )}
    </g>
  );
}

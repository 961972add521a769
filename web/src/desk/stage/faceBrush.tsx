import { useRef, useState, type MouseEvent } from "react";
import type { Matrix, Part, Point } from "@twin-petal/core";
import { toSheet } from "@/paint/view";
import { useDesk, useEditing } from "@/store/deskStore";
import { paintFace, paintFaces } from "@/store/edits/join";
import type { FoundFace } from "@/workers/frame";
import { usePicture } from "./pictureContext";

/** Paints the face under the pointer and all that are coloured with it; with Alt the one alone. */
export function FaceBrush({ part, sheetToScreen }: { part: Part; sheetToScreen: Matrix }) {
  const { painter, view, size } = usePicture();
  const { edit } = useEditing();
  const brush = useDesk((state) => state.hand.brush);
  const [found, setFound] = useState<{ face: FoundFace; alone: boolean } | null>(null);
  const asking = useRef(false);
  if (!view || !size) return null;

  const placeOf = (event: MouseEvent): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return toSheet(view, size, { x: event.clientX - box.left, y: event.clientY - box.top });
  };
  const point = (event: MouseEvent) => {
    if (asking.current) return;
    asking.current = true;
    const alone = event.altKey;
    void painter.faceAt(part.id, placeOf(event)).then((face) => {
      asking.current = false;
      setFound(face && { face, alone });
    });
  };
  const paint = (event: MouseEvent) => {
    const alone = event.altKey;
    void painter.faceAt(part.id, placeOf(event)).then((face) => {
      if (!face) return;
      edit(alone ? paintFace(part.id, face.name, brush) : paintFaces(part, face, brush));
    });
  };
  const shared = {
    fill: "none",
    transform: `matrix(${sheetToScreen.join(" ")})`,
    vectorEffect: "non-scaling-stroke",
    pointerEvents: "none",
  } as const;
  const outline = found && (found.alone ? found.face.outline : found.face.alike);
  return (
    <g>
      <rect
        width={size.width}
        height={size.height}
        fill="transparent"
        className="pointer-events-auto cursor-crosshair"
        data-testid="face-brush"
        onPointerMove={point}
        onPointerLeave={() => setFound(null)}
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

import { unwaited } from "@/api/unwaited";
import { useEffect, useState } from "react";
import { multiply, type Matrix } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import { usePicture } from "./pictureContext";

interface PointedCopyProps {
  readonly part: string;
  readonly sheetToScreen: Matrix;
}

/** The copy that is pointed at, on the sheet or in the chart, outlined. */
export function PointedCopy({ part, sheetToScreen }: PointedCopyProps) {
  const pointed = useDesk((state) => state.hand.pointed);
  const { painter, report } = usePicture("painter", "report");
  const [found, setFound] = useState<{ outline: string; matrix: Matrix } | null>(null);
  useEffect(() => {
    if (pointed === null) return;
    let wanted = true;
    unwaited(painter.outlineOf(part, pointed).then((copy) => wanted && setFound(copy)));
    return () => {
      wanted = false;
    };
  }, [painter, part, pointed, report]);
  if (pointed === null || !found) return null;
  const shared = {
    d: found.outline,
    fill: "none",
    transform: `matrix(${multiply(sheetToScreen, found.matrix).join(" ")})`,
    vectorEffect: "non-scaling-stroke",
  } as const;
  return (
    <g data-testid="pointed-copy">
      <path {...shared} stroke="#FFFFFF" strokeWidth={4.5} />
      <path {...shared} stroke="var(--live)" strokeWidth={2.5} />
    </g>
  );
}

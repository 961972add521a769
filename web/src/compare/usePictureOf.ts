import { unwaited } from "@/api/unwaited";
import { useEffect, useState } from "react";
import { writeDesign, type Design } from "@twin-petal/core";
import { useRested } from "@/ui/useRested";
import { startMaker } from "@/workers/start";

/** A design rests this long before it is drawn anew, milliseconds. */
const REST = 250;

/** Where a design's drawing is, as vectors, so that it is sharp however near it is seen; null until it has been made. */
export function usePictureOf(design: Design | null): string | null {
  const rested = useRested(design, REST);
  const [drawn, setDrawn] = useState<{ readonly design: Design; readonly address: string } | null>(null);
  useEffect(() => {
    if (!rested) return;
    const { work: maker, end } = startMaker();
    let made: string | null = null;
    let wanted = true;
    unwaited(
      maker
        .make(writeDesign(rested), "svg", { dpi: 96 })
        .then((answer) => {
          if (!wanted || "refusal" in answer) return;
          made = URL.createObjectURL(answer.file);
          setDrawn({ design: rested, address: made });
        })
        .finally(end),
    );
    return () => {
      wanted = false;
      end();
      if (made) URL.revokeObjectURL(made);
    };
  }, [rested]);
  // What was drawn last stays until the next is there, unless there is nothing to draw.
  return design === null ? null : (drawn?.address ?? null);
}

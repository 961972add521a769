import { unwaited } from "@/api/unwaited";
import { useEffect, useState } from "react";
import type { Design } from "@twin-petal/core";
import { useDesk } from "@/store/deskStore";
import type { SheetPicture } from "@/workers/frame";
import type { Size } from "@/paint/view";
import type { Around } from "./pictureQueue";
import { usePicture } from "../stage/pictureContext";

/** A state of the design to be shown small. */
interface Wanted {
  readonly key: string;
  readonly design: Design;
}

/** Device pixels of a picture shown so large. */
export function pixelsOf(side: number): number {
  return Math.round(side * Math.min(2, window.devicePixelRatio));
}

/** Pictures of the wanted designs, as they come; those of before stay until the new ones are there. */
export function useLivePictures(
  wanted: readonly Wanted[],
  around: Around,
  { width, height }: Size,
  first = false,
): ReadonlyMap<string, SheetPicture> {
  const { pictures: queue } = usePicture("pictures");
  const about = useDesk((state) => state.chosen);
  const isSolid = useDesk((state) => state.hand.solid);
  const isThread = useDesk((state) => state.hand.thread);
  const [pictures, setPictures] = useState<ReadonlyMap<string, SheetPicture>>(new Map());
  useEffect(() => {
    const ending = new AbortController();
    const size = { width: pixelsOf(width), height: pixelsOf(height) };
    for (const { key, design } of wanted) {
      unwaited(
        queue.ask({ design, around, about, size, isSolid, isThread }, ending.signal, first).then((picture) => {
          if (picture && !ending.signal.aborted) setPictures((known) => withPicture(known, wanted, key, picture));
        }),
      );
    }
    return () => ending.abort();
  }, [queue, wanted, around, about, width, height, first, isSolid, isThread]);
  return pictures;
}

/** The pictures with one more; those no longer wanted are let go. */
function withPicture(
  known: ReadonlyMap<string, SheetPicture>,
  wanted: readonly Wanted[],
  key: string,
  picture: SheetPicture,
): ReadonlyMap<string, SheetPicture> {
  const kept = wanted.flatMap((one): [string, SheetPicture][] => {
    const old = one.key === key ? picture : known.get(one.key);
    return old ? [[one.key, old]] : [];
  });
  return new Map(kept);
}

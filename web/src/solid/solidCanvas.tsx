import { unwaited } from "@/api/unwaited";
import { useEffect, useMemo, useRef, useState } from "react";
import type { SpaceBox, SpacePoint } from "@twin-petal/core";
import { messageOf } from "@/api/http";
import { WorkerEnded } from "@/workers/started";
import type { LaidLayer } from "@/workers/solidWork";
import { lookMoved, type Look, type Wish } from "./eye";
import { standpoint } from "./outlooks";
import type { CutOpen, Met } from "./picture/content";
import { SolidPicture, type Place } from "./solidPicture";
import type { Solids } from "./useSolids";

interface SolidCanvasProps {
  readonly solids: Solids;
  readonly bed: { readonly width: number; readonly depth: number };
  readonly wish: Wish;
  readonly cutOpen: CutOpen | null;
  /** Points that are marked, and joined by a line where there are two. */
  readonly marked: readonly SpacePoint[];
  /** A layer that is laid: what lies above it is left out. */
  readonly laid?: LaidLayer | null;
  onClick: (met: Met | null) => void;
  /** Told after every picture where points in space are seen. */
  onDrawn?: (place: Place) => void;
}

/** What draws is started so often, if it ends by itself. */
const MOST_STARTS = 3;

/** Solids drawn: copies while the hand moves, united bodies when they are there. Drawn only when something changes. */
export function SolidCanvas({ solids, bed, wish, cutOpen, marked, laid = null, onClick, onDrawn }: SolidCanvasProps) {
  const host = useRef<HTMLDivElement>(null);
  const [picture, setPicture] = useState<SolidPicture | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [starts, setStarts] = useState(1);
  useEffect(() => {
    if (!host.current) return;
    const own = new SolidPicture(host.current);
    own.attached.catch((error: unknown) => error instanceof WorkerEnded || setTrouble(messageOf(error)));
    setPicture(own);
    unwaited(own.ended.then(() => setStarts((known) => Math.min(known + 1, MOST_STARTS))));
    return () => own.end();
  }, [starts]);
  useEffect(() => picture?.listen({ onClick, onDrawn: onDrawn ?? null }), [picture, onClick, onDrawn]);
  useContent(picture, solids);
  const top = laid ? laid.z + laid.height / 2 : null;
  const cuts = useMemo(
    () => [...(cutOpen ? [cutOpen] : []), ...(top === null ? [] : [{ axis: 2, at: top } as const])],
    [cutOpen, top],
  );
  const { width, depth } = bed;
  useEffect(() => picture?.show({ bed: { width, depth } }), [picture, width, depth]);
  useEffect(() => picture?.show({ cuts }), [picture, cuts]);
  useEffect(() => picture?.show({ marked }), [picture, marked]);
  useEffect(() => picture?.show({ laid }), [picture, laid]);
  useWishes(picture, solids, wish);
  return (
    <div ref={host} className="absolute inset-0">
      {trouble !== null && (
        <p role="alert" className="absolute inset-x-0 top-1/2 text-center text-failed">
          ✕ Solids cannot be drawn by this browser: {trouble} They can be made and taken away all the same.
        </p>
      )}
    </div>
  );
}

/** Shows copies and united bodies, and says on the canvas whether its picture shows the design as it is now. */
function useContent(picture: SolidPicture | null, { layout, meshes, model, isCurrent }: Solids): void {
  const bodies = model && model.bodies.length > 0 ? model.bodies : null;
  useEffect(() => picture?.show({ bodies }), [picture, bodies]);
  useEffect(() => {
    if (!picture || !layout) return;
    const groups = layout.parts.flatMap(({ part, role, groups: own }) =>
      own.map((group) => ({ part, clear: role === "cutter", group })),
    );
    picture.show({ groups, meshes });
  }, [picture, layout, meshes]);
  useEffect(() => picture?.setCurrent(isCurrent), [picture, isCurrent]);
}

/** Moves the eye as it is wished; at first it goes where it sees everything. */
function useWishes(picture: SolidPicture | null, { layout }: Solids, wish: Wish): void {
  const box = layout?.box ?? null;
  const followed = useRef<Followed | null>(null);
  useEffect(() => {
    if (!picture || !box) return;
    const before = followed.current;
    if (before?.picture === picture && before.asked === wish.asked) return;
    picture.lookFrom(nextLook(before, wish, box));
    followed.current = { picture, asked: wish.asked };
  }, [picture, box, wish]);
}

/** The picture a wish was followed in last. */
interface Followed {
  readonly picture: SolidPicture;
  readonly asked: number;
}

/** What is seen next; a picture that takes the place of one that ended shows what that one did. */
function nextLook(before: Followed | null, wish: Wish, box: SpaceBox): Look {
  if (!before) return standpoint(box, "side" in wish ? wish.side : "corner");
  return before.asked === wish.asked ? before.picture.look : lookMoved(before.picture.look, wish, box);
}

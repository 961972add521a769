import { useMemo } from "react";
import type { Design } from "@twin-petal/core";
import { usePictureOf } from "./usePictureOf";

interface StatePictureProps {
  readonly design: Design | null;
  /** The part that is lit; the rest steps back. */
  readonly lit: string | null;
  readonly words: string;
}

/** One state's sheet, as large as its place allows; a lit part stands out. */
export function StatePicture({ design, lit, words }: StatePictureProps) {
  const picture = usePictureOf(design);
  if (!picture) return <p className="grid h-full place-content-center text-quiet">Drawing it …</p>;
  const holder = lit !== null && design?.parts.some(({ id }) => id === lit) ? design : null;
  return (
    <>
      <img
        src={picture}
        alt={words}
        draggable={false}
        className={`absolute inset-0 size-full object-contain ${lit === null ? "" : "opacity-20"}`}
      />
      {holder && lit !== null && <LitPart key={lit} design={holder} part={lit} />}
    </>
  );
}

/** One part of a state by itself; the others still lead and limit it. */
function LitPart({ design, part: lit }: { design: Design; part: string }) {
  const only = useMemo(() => {
    const parts = design.parts.map((part) => (part.id === lit ? part : { ...part, visible: false }));
    return { ...design, sheet: { ...design.sheet, ground: null }, parts };
  }, [design, lit]);
  const picture = usePictureOf(only);
  return (
    picture && <img src={picture} alt="" draggable={false} className="absolute inset-0 size-full object-contain" />
  );
}

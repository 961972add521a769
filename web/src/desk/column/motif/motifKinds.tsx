import { boxOfPath, designResolver, motifOf, MOTIFS, outlineOf, pathData } from "@twin-petal/core";
import { madeMotif } from "./made/list";

/** Kinds of motif that are ready shapes, in the order they are offered. */
export const READY_KINDS: readonly string[] = MOTIFS.filter(({ origin }) => origin === "ready").map(({ kind }) => kind);

/** What a kind is called in sentences. */
export function kindName(kind: string): string {
  return kind === "compound" ? "combination" : (madeMotif(kind)?.name ?? kind);
}

/** The article a kind's name takes in a sentence; none where it stands by itself. */
export function articleOf(name: string): string {
  if (/s$|lettering/.test(name)) return "";
  return /^[aeiou]/.test(name) ? "An " : "A ";
}

/** A small picture of a kind of motif, for choosing. */
export function MotifPicture({ kind, size = 34 }: { kind: string; size?: number }) {
  const definition = motifOf(kind);
  const mark = madeMotif(kind)?.mark;
  if (mark) {
    return (
      <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden="true" {...LINE}>
        {mark}
      </svg>
    );
  }
  if (!definition) return null;
  const outline = outlineOf(
    definition.prepare(
      { kind },
      designResolver(() => undefined),
      "",
    ),
  );
  const { left, top, right, bottom } = boxOfPath(outline);
  const side = Math.max(right - left, bottom - top) * 1.14;
  const paint = definition.open
    ? { ...LINE, strokeWidth: (side / size) * 2 }
    : { fill: "var(--good)", fillRule: "nonzero" as const };
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${(left + right - side) / 2} ${(top + bottom - side) / 2} ${side} ${side}`}
      aria-hidden="true"
    >
      <path d={pathData(outline)} {...paint} />
    </svg>
  );
}

const LINE = {
  fill: "none",
  stroke: "var(--good)",
  strokeWidth: 2,
  strokeLinecap: "round",
  strokeLinejoin: "round",
} as const;

import type { ReactNode } from "react";
import { boxOfPath, designResolver, motifOf, MOTIFS, outlineOf, pathData } from "@twin-petal/core";

/** How a kind of motif is offered: by a name people say, and a promise. */
interface KindWords {
  readonly name: string;
  readonly promise: string;
}

/** Motifs that are made rather than chosen ready, in the order they are offered. */
export const MADE_KINDS: Readonly<Record<string, KindWords>> = {
  drawn: { name: "drawing", promise: "straight and curved segments" },
  freehand: { name: "strokes", promise: "drawn by hand onto the ornament" },
  walk: { name: "walk", promise: "go, turn, and do it again" },
  text: { name: "lettering", promise: "words, straight or around" },
  part: { name: "whole part", promise: "a finished ornament, repeated again" },
  svg: { name: "picture", promise: "an SVG from another program" },
};

export const READY_KINDS: readonly string[] = MOTIFS.filter(({ origin }) => origin === "ready").map(({ kind }) => kind);

/** What a kind is called in sentences. */
export function kindName(kind: string): string {
  return kind === "compound" ? "combination" : (MADE_KINDS[kind]?.name ?? kind);
}

/** The article a kind's name takes in a sentence; none where it stands by itself. */
export function articleOf(name: string): string {
  if (/s$|lettering/.test(name)) return "";
  return /^[aeiou]/.test(name) ? "An " : "A ";
}

const MADE_MARKS: Readonly<Record<string, ReactNode>> = {
  drawn: (
    <path d="M5 27 9 9 23 5 27 21ZM5 27m-2 0a2 2 0 1 0 4 0 2 2 0 1 0-4 0M27 21m-2 0a2 2 0 1 0 4 0 2 2 0 1 0-4 0" />
  ),
  freehand: <path d="M3 22C7 8 12 8 14 16S20 28 23 18 27 9 30 11" />,
  walk: <path d="M4 28V20H12V12H20V4H28" />,
  text: <path d="M6 26 14 6 22 26M9 19H19M25 26V14" />,
  part: (
    <path d="M16 16m-3 0a3 3 0 1 0 6 0 3 3 0 1 0-6 0M16 4a5 4 0 0 1 0 9 5 4 0 0 1 0-9ZM16 19a5 4 0 0 1 0 9 5 4 0 0 1 0-9ZM4 16a4 5 0 0 1 9 0 4 5 0 0 1-9 0ZM19 16a4 5 0 0 1 9 0 4 5 0 0 1-9 0" />
  ),
  svg: <path d="M5 5H27V27H5ZM5 21 12 14 18 20 22 16 27 21" />,
};

/** A small picture of a kind of motif, for choosing. */
export function MotifPicture({ kind, size = 34 }: { kind: string; size?: number }) {
  const definition = motifOf(kind);
  const mark = MADE_MARKS[kind];
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

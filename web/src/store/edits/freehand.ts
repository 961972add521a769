import { storedStrokes, storedStyles, type StrokeStyle, type StrokeValue } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";

export function addStroke(part: string, stroke: StrokeValue, gesture: string): Edit {
  return partEdit(
    part,
    "draw a stroke",
    ({ motif }) => {
      motif.strokes = castDraft([...storedStrokes(motif), stroke]);
    },
    gesture,
  );
}

export function setStroke(part: string, number: number, stroke: StrokeValue, gesture: string): Edit {
  return partEdit(
    part,
    "draw a stroke",
    ({ motif }) => {
      const strokes = [...storedStrokes(motif)];
      strokes[number] = stroke;
      motif.strokes = castDraft(strokes);
    },
    gesture,
  );
}

export function removeStroke(part: string, number: number): Edit {
  return partEdit(part, "remove a stroke", ({ motif }) => {
    motif.strokes = castDraft(storedStrokes(motif).filter((_, index) => index !== number));
    const styles = storedStyles(motif);
    if (styles.length > number) motif.styles = castDraft(styles.filter((_, index) => index !== number));
  });
}

/** Gives one stroke a width or a colour of its own; undefined takes it away again. */
export function styleStroke(part: string, number: number, change: StrokeStyle, label: string, gesture?: string): Edit {
  return partEdit(
    part,
    label,
    ({ motif }) => {
      const styles = [...storedStyles(motif)];
      while (styles.length <= number) styles.push(null);
      const style: StrokeStyle = { ...styles[number], ...change };
      const kept = Object.fromEntries(Object.entries(style).filter(([, value]) => value !== undefined));
      styles[number] = Object.keys(kept).length > 0 ? kept : null;
      motif.styles = castDraft(styles);
    },
    gesture,
  );
}

import { castDraft } from "immer";
import { paletteReference, type Design, type NumberValue, type Sheet } from "@twin-petal/core";
import type { Edit } from "../edit";

export function renameDesign(name: string): Edit {
  return {
    label: "rename the design",
    gesture: "name",
    apply(draft) {
      draft.name = name;
    },
  };
}

export function setSheet<K extends keyof Sheet>(key: K, value: Sheet[K], label: string, gesture?: string): Edit {
  return {
    label,
    ...(gesture !== undefined && { gesture }),
    apply(draft) {
      const sheet: Sheet = { ...draft.sheet, [key]: value };
      draft.sheet = castDraft(sheet);
    },
  };
}

export function addColor(design: Design, color: string): { edit: Edit; name: string } {
  const taken = new Set(design.palette.map(({ name }) => name));
  let name = "colour";
  for (let number = 2; taken.has(name); number++) name = `colour ${number}`;
  return { name, edit: { label: `name a colour ${name}`, apply: (draft) => void draft.palette.push({ name, color }) } };
}

export function setColor(name: string, color: string, gesture: string): Edit {
  return {
    label: `change ${name}`,
    gesture,
    apply(draft) {
      const entry = draft.palette.find((known) => known.name === name);
      if (entry) entry.color = color;
    },
  };
}

/** Gives the sheet another size, lying or upright as told. Millimetres. */
export function setSheetSize(width: NumberValue, height: NumberValue, label: string): Edit {
  return {
    label,
    apply(draft) {
      draft.sheet.width = width;
      draft.sheet.height = height;
    },
  };
}

/** Adds colours to the palette under names of their own: the word, numbered where there are several. */
export function addColors(design: Design, colors: readonly string[], word: string): Edit {
  const taken = new Set(design.palette.map(({ name }) => name));
  const added = colors.map((color) => {
    let [name, number] = [word, 1];
    while (taken.has(name)) name = `${word} ${(number += 1)}`;
    taken.add(name);
    return { name, color };
  });
  return {
    label: added.length === 1 ? "add a colour" : `add ${added.length} colours`,
    apply: (draft) => void draft.palette.push(...added),
  };
}

/** Names a palette colour anew wherever it is used. */
export function renameColor(name: string, next: string): Edit {
  return {
    label: `rename ${name} to ${next}`,
    apply(draft) {
      const entry = draft.palette.find((known) => known.name === name);
      if (!entry) return;
      entry.name = next;
      replaceColor(draft, paletteReference(name), paletteReference(next));
    },
  };
}

/** Takes a colour out of the palette; where it was used its own value stays. */
export function removeColor(name: string): Edit {
  return {
    label: `remove ${name}`,
    apply(draft) {
      const entry = draft.palette.find((known) => known.name === name);
      if (!entry) return;
      draft.palette = draft.palette.filter((known) => known.name !== name);
      replaceColor(draft, paletteReference(name), entry.color);
    },
  };
}

/** Puts one colour in another's place in everything that holds it. */
function replaceColor(holder: object, from: string, to: string): void {
  const entries: [string, unknown][] = Object.entries(holder);
  for (const [key, value] of entries) {
    if (value === from) Reflect.set(holder, key, to);
    else if (typeof value === "object" && value !== null) replaceColor(value, from, to);
  }
}

import type { Design, Sheet } from "@twin-petal/core";
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
      draft.sheet = sheet;
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

import {
  apply,
  about,
  designResolver,
  membersOfGroups,
  resolvePlace,
  rotation,
  scaling,
  scopeOf,
  sizeOf,
  tidy,
  type Design,
  type Matrix,
  type Part,
  type PlaceValue,
  type Point,
} from "@twin-petal/core";
import { castDraft, current, type Draft } from "immer";
import { applyEdit, type Edit } from "../edit";
import { freshId } from "./freshId";
import { gather } from "./groups";
import { movedPlace } from "./moved";
import { duplicatePart, removePart } from "./parts";

/** An edit of several parts in one step. */
function editSeveral(
  ids: readonly string[],
  label: string,
  change: (part: Draft<Part>) => void,
  gesture?: string,
): Edit {
  return {
    label,
    ...(gesture !== undefined && { gesture: `several/${gesture}` }),
    apply: (draft) => draft.parts.filter(({ id }) => ids.includes(id)).forEach(change),
  };
}

/** How parts are called together. */
export const partsWords = (count: number): string => (count === 1 ? "1 part" : `${count} parts`);

/** Parts as they stood in `from`, moved on by so much, millimetres. */
export function moveSeveral(from: Design, ids: readonly string[], by: Point, gesture?: string): Edit {
  const places = placesIn(from, ids, (at) => movedPlace(at, by));
  return setPlaces(places, `move ${partsWords(ids.length)}`, gesture);
}

/** Parts as they stood in `from`, turned about a point of the sheet (degrees, millimetres). */
export function turnSeveral(
  from: Design,
  ids: readonly string[],
  turn: number,
  centre: Point,
  numbers: ReadonlyMap<string, number>,
  gesture?: string,
): Edit {
  const places = placesIn(from, ids, (at) => carried(at, about(centre, rotation(turn)), turn, numbers));
  return setPlaces(places, `turn ${partsWords(ids.length)}`, gesture);
}

/** Parts as they stood in `from`, made so many times as large about a point of the sheet. */
export function sizeSeveral(
  from: Design,
  ids: readonly string[],
  size: number,
  centre: Point,
  numbers: ReadonlyMap<string, number>,
  gesture?: string,
): Edit {
  const places = placesIn(from, ids, (at) => carried(at, about(centre, scaling(size)), 0, numbers));
  return setPlaces(places, `size ${partsWords(ids.length)}`, gesture);
}

/** A place carried by a map; its formulas become what they come to, as the map mixes them. */
function carried(at: PlaceValue, by: Matrix, turn: number, numbers: ReadonlyMap<string, number>): PlaceValue {
  const [a, b, c, d, x, y] = resolvePlace(at, designResolver(scopeOf(numbers)), "");
  const now = apply(by, { x, y });
  const turned = (Math.atan2(b, a) * 180) / Math.PI + turn;
  return { x: tidy(now.x), y: tidy(now.y), turn: tidy(turned), size: tidy(sizeOf([a, b, c, d, 0, 0]) * sizeOf(by)) };
}

function placesIn(
  { parts }: Design,
  ids: readonly string[],
  next: (at: PlaceValue) => PlaceValue,
): ReadonlyMap<string, PlaceValue> {
  return new Map(parts.flatMap(({ id, at, locked }) => (ids.includes(id) && !locked ? [[id, next(at)] as const] : [])));
}

function setPlaces(places: ReadonlyMap<string, PlaceValue>, label: string, gesture?: string): Edit {
  return editSeveral(
    [...places.keys()],
    label,
    (part) => {
      part.at = places.get(part.id) ?? part.at;
    },
    gesture,
  );
}

export function showSeveral(ids: readonly string[], visible: boolean): Edit {
  return editSeveral(ids, `${visible ? "show" : "hide"} ${partsWords(ids.length)}`, (part) => {
    part.visible = visible;
  });
}

export function lockSeveral(ids: readonly string[], locked: boolean): Edit {
  return editSeveral(ids, `${locked ? "lock" : "unlock"} ${partsWords(ids.length)}`, (part) => {
    part.locked = locked;
  });
}

/** Parts once more, each above itself and a little beside; what they came to be called. Groups among them are doubled whole. */
export function duplicateSeveral(design: Design, ids: readonly string[]): { edit: Edit; ids: readonly string[] } {
  const made = new Map<string, string>();
  const edits: Edit[] = [];
  let next = design;
  for (const part of design.parts.filter(({ id }) => ids.includes(id))) {
    const copy = duplicatePart(next, part);
    next = applyEdit(next, copy.edit);
    edits.push(copy.edit);
    made.set(part.id, copy.id);
  }
  return {
    ids: [...made.values()],
    edit: {
      label: `duplicate ${partsWords(made.size)}`,
      apply(draft) {
        edits.forEach((edit) => edit.apply(draft));
        doubleGroups(draft, design, made);
      },
    },
  };
}

/** Gives the copies of whole groups groups of their own. `made` says which part each copy is of. */
function doubleGroups(draft: Draft<Design>, before: Design, made: ReadonlyMap<string, string>): void {
  const copies = new Map<string, string>();
  for (const [id, members] of membersOfGroups(before)) {
    if (members.length > 0 && members.every((part) => made.has(part))) copies.set(id, freshId(current(draft), id));
    const [group, copy] = [before.groups.find((known) => known.id === id), copies.get(id)];
    if (group && copy !== undefined) draft.groups.push({ ...group, id: copy, name: `${group.name}, a copy` });
  }
  const copyOf = (id: string) => copies.get(id) ?? id;
  const isCopy = new Set(copies.values());
  for (const group of draft.groups) if (isCopy.has(group.id)) group.within = copyOf(group.within);
  const parts = new Set(made.values());
  const regrouped = current(draft).parts.map((part) =>
    parts.has(part.id) ? { ...part, group: copyOf(part.group) } : part,
  );
  draft.parts = castDraft(regrouped);
  // What belongs together lies together, groups within groups too.
  for (const id of copies.keys())
    gather(
      draft,
      membersOfGroups(before)
        .get(id)
        ?.map((part) => made.get(part) ?? part) ?? [],
    );
}

/** Removes parts that are not locked; what followed them follows nothing any more. */
export function removeSeveral(ids: readonly string[]): Edit {
  return {
    label: `remove ${partsWords(ids.length)}`,
    apply(draft) {
      for (const id of ids) {
        const design = current(draft);
        const part = design.parts.find((known) => known.id === id);
        if (part && !part.locked) removePart(design, part).apply(draft);
      }
    },
  };
}

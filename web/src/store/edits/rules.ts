import {
  MOST_PARTS,
  motifOf,
  ruleOf,
  type Design,
  type FieldChanges,
  type FieldValue,
  type Rule,
} from "@twin-petal/core";
import { castDraft } from "immer";
import { ownerIn, type FieldOwner } from "./owners";
import type { Edit } from "../edit";
import { partEdit } from "./parts";
import { scaledDefaults } from "./scaledDefaults";

export function addRule(design: Design, part: string, kind: string): Edit {
  const rule = newRule(design, part, kind);
  return partEdit(part, `add a ${kind}`, ({ rules }) => void rules.push(castDraft(rule)));
}

/** A rule as it begins: lengths that suit the sheet, and where it follows another part, the nearest line. */
function newRule(design: Design, part: string, kind: string): Rule {
  const definition = ruleOf(kind);
  const leads = definition?.leads;
  const other = leads ? linePart(design, part) : undefined;
  const before = design.parts.find(({ id }) => id === part)?.rules.findLast((rule) => rule.kind === kind);
  return {
    kind,
    on: true,
    ...scaledDefaults(design, definition?.fields ?? {}),
    ...definition?.first,
    ...(before && definition?.again(before)),
    ...(leads && other && { [leads]: other }),
  };
}

/** The part another one would follow: the nearest below it, or above it where there is none below. */
export function leadingPart({ parts }: Design, part: string): string | undefined {
  const index = parts.findIndex(({ id }) => id === part);
  return (parts[index - 1] ?? parts[index + 1])?.id;
}

/** Motifs that are lines however they are drawn, and those hardly anybody walks along. */
const MAY_BE_LINES: readonly string[] = ["drawn", "freehand", "walk"];
const NO_LINES: readonly string[] = ["text", "svg", "part"];

/** The part whose line another one would follow: the nearest one that is a line, else the nearest that is no lettering. */
function linePart(design: Design, part: string): string | undefined {
  const index = design.parts.findIndex(({ id }) => id === part);
  const others = design.parts
    .map(({ id, motif }, at) => ({ id, kind: motif.kind, far: at < index ? index - at : MOST_PARTS + at }))
    .filter(({ id }) => id !== part)
    .sort((a, b) => a.far - b.far);
  const line = others.find(({ kind }) => motifOf(kind)?.open || MAY_BE_LINES.includes(kind));
  return (line ?? others.find(({ kind }) => !NO_LINES.includes(kind)))?.id ?? leadingPart(design, part);
}

export function removeRule(part: string, index: number, kind: string): Edit {
  return partEdit(part, `remove the ${kind}`, ({ rules }) => void rules.splice(index, 1));
}

export function duplicateRule(part: string, index: number, kind: string): Edit {
  return partEdit(part, `duplicate the ${kind}`, ({ rules }) => {
    const rule = rules[index];
    if (rule) rules.splice(index + 1, 0, { ...rule });
  });
}

export function moveRule(part: string, from: number, to: number): Edit {
  return partEdit(part, "move a rule", ({ rules }) => {
    const [rule] = rules.splice(from, 1);
    if (rule) rules.splice(to, 0, rule);
  });
}

export function switchRule(part: string, index: number, kind: string, on: boolean): Edit {
  return partEdit(part, `switch the ${kind} ${on ? "on" : "off"}`, ({ rules }) => {
    const rule = rules[index];
    if (rule) rule.on = on;
  });
}

/** Sets one field of a motif or a rule. */
export function setField(
  part: string,
  owner: FieldOwner,
  name: string,
  value: FieldValue | undefined,
  label: string,
  gesture?: string,
): Edit {
  return setFields(part, owner, { [name]: value }, label, gesture);
}

/**
 * Sets several fields of a motif or a rule at once; undefined brings a default back. `on.radius` is a field within a
 * field.
 */
export function setFields(
  part: string,
  owner: FieldOwner,
  changes: FieldChanges,
  label: string,
  gesture?: string,
): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      const holder = ownerIn(draft, owner);
      if (!holder) return;
      for (const [name, value] of Object.entries(changes)) {
        const [field = name, inner] = name.split(".");
        if (inner !== undefined) setWithin(holder, field, inner, value);
        else if (value === undefined) Reflect.deleteProperty(holder, field);
        else holder[field] = castDraft(value);
      }
    },
    gesture,
  );
}

function setWithin(holder: object, field: string, inner: string, value: FieldValue | undefined): void {
  const object: unknown = Reflect.get(holder, field);
  if (typeof object !== "object" || object === null) return;
  if (value === undefined) Reflect.deleteProperty(object, inner);
  else Reflect.set(object, inner, value);
}

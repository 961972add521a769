import { ruleOf, type Design, type FieldValue, type Rule } from "@twin-petal/core";
import { castDraft } from "immer";
import type { Edit } from "../edit";
import { partEdit } from "./parts";
import { scaledDefaults } from "./scaledDefaults";

export function addRule(design: Design, part: string, kind: string): Edit {
  const rule: Rule = { kind, on: true, ...scaledDefaults(design, ruleOf(kind)?.fields ?? {}) };
  return partEdit(part, `add a ${kind}`, ({ rules }) => void rules.push(castDraft(rule)));
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

/** Sets a field of a motif, or of a rule by its number; undefined brings the default back. */
export function setField(
  part: string,
  rule: number | null,
  name: string,
  value: FieldValue | undefined,
  label: string,
  gesture?: string,
): Edit {
  return partEdit(
    part,
    label,
    (draft) => {
      const owner = rule === null ? draft.motif : draft.rules[rule];
      if (!owner) return;
      if (value === undefined) Reflect.deleteProperty(owner, name);
      else owner[name] = castDraft(value);
    },
    gesture,
  );
}

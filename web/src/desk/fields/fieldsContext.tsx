import { createContext, useContext, type ReactNode } from "react";
import {
  designResolver,
  mendsOf,
  motifOf,
  ruleOf,
  scopeOf,
  type Field,
  type FieldChanges,
  type FieldTable,
  type FieldValue,
  type StoredFields,
} from "@twin-petal/core";
import { useEditing } from "@/store/deskStore";
import { ownerKey, type FieldOwner } from "@/store/edits/owners";
import { setFields } from "@/store/edits/rules";
import { useNumbers } from "./useNumbers";

/** The motif or rule whose sentence is being told. */
interface Fields {
  readonly part: string;
  readonly owner: FieldOwner;
  readonly stored: StoredFields;
  readonly table: FieldTable;
  /** What it is to the motif or the rule it belongs to; names its fields apart from theirs. */
  readonly role?: string;
}

const FieldsContext = createContext<Fields | null>(null);

export function FieldsProvider({ children, ...fields }: Fields & { children: ReactNode }) {
  return <FieldsContext value={fields}>{children}</FieldsContext>;
}

export function useFields(): Fields {
  const fields = useContext(FieldsContext);
  if (!fields) throw new Error("this belongs in the sentence of a motif or a rule");
  return fields;
}

/** What a field is called by itself: with the role of the motif it belongs to, where that stands within another. */
export function useFieldLabel(label: string): string {
  const { role } = useFields();
  return role === undefined ? label : `${role}: ${label}`;
}

/** One field of the sentence: its definition, what is stored, and how to store something else. */
export function useField<F extends Field["type"]>(name: string, ...types: readonly F[]) {
  const { part, owner, stored, table } = useFields();
  const { edit } = useEditing();
  const numbers = useNumbers();
  const field = table[name];
  if (!field || !isOneOf(field, types)) throw new Error(`${stored.kind} has no such field as ${name}`);
  const set = (value: FieldValue | undefined, change: string, gesture?: string) => {
    const key = gesture && `${part}/${ownerKey(owner)}/${name}/${gesture}`;
    edit(setFields(part, owner, { ...neededBy({ ...stored, [name]: value }), [name]: value }, change, key));
  };
  // What is chosen sets what it needs; numbers are the hand's own.
  const neededBy = (next: StoredFields): FieldChanges => {
    const isRule = typeof owner === "object" && "rule" in owner;
    const definition = isRule ? ruleOf(next.kind) : motifOf(next.kind);
    const isChosen = field.type === "choice" || field.type === "toggle";
    return isChosen && definition ? mendsOf(definition, next, designResolver(scopeOf(numbers))) : {};
  };
  return { field, stored: stored[name], set };
}

function isOneOf<F extends Field["type"]>(field: Field, types: readonly F[]): field is Extract<Field, { type: F }> {
  return types.some((type) => type === field.type);
}

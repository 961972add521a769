import { lazy, mixed } from "yup";
import { choice } from "../fields/choice";
import type { FieldInfo, FieldOf, FieldTable, ResolvedOf, StoredOf, StructureField } from "../fields/field";
import { leaf } from "../fields/leaf";
import { number } from "../fields/number";
import { record, schemasOf } from "../fields/record";
import { rewriteNumber } from "../fields/rewriting";
import { exactly } from "../fields/schemaPieces";
import { isNumberValue, isRecord } from "../fields/stored";
import type { NumberValue } from "../formula/numbers";
import type { FormDefinition } from "./definition";
import { FORMS, type FormKind } from "./list";

/** What is made, and what is taken away from what is made. */
export const SOLID_ROLES = ["body", "cutter"] as const;

/** Degrees about each axis: the tip rises, the right side rises, turned clockwise from above. */
const TILT = record({ x: number("angle", 0), y: number("angle", 0), z: number("angle", 0) });

/** The word for a solid whose lowest point is on the bed. */
export const REST = "rest";

const LIFT_NUMBER = number("length", 0);

/** How far a part is lifted, millimetres, or that it rests on the bed. */
const lift: StructureField & FieldOf<number | typeof REST, NumberValue> = {
  type: "structure",
  ...leaf<number | typeof REST, NumberValue>({
    standard: 0,
    is: isNumberValue,
    schema: () => lazy((value: unknown) => (value === REST ? mixed() : LIFT_NUMBER.schema())),
    resolve: (stored, resolver, path) => (stored === REST ? REST : LIFT_NUMBER.resolve(stored, resolver, path)),
    rewrite: (stored, by, path) => (stored === REST ? stored : rewriteNumber(stored, by, path)),
    words: [REST],
  }),
};

const FORM_KINDS: readonly FormKind[] = FORMS.map(({ kind }) => kind);

/** The form of a name; the first where there is none such. */
export function formOf(kind: unknown): FormDefinition {
  return FORMS.find((form) => form.kind === kind) ?? FORMS[0];
}

type OwnFields = Together<(typeof FORMS)[number]["fields"]>;
type Together<U> = (U extends unknown ? (member: U) => void : never) extends (all: infer I) => void ? I : never;

/** The fields of all forms together, each under its own name. */
function ownFields(): OwnFields {
  const table: FieldTable = Object.fromEntries(
    FORMS.flatMap(({ fields }) => Object.entries<FieldTable[string]>(fields)),
  );
  if (!isTogether(table)) throw new Error("there are no forms");
  return table;
}

function isTogether(table: object): table is FieldTable & OwnFields {
  return isRecord(table);
}

const SOLID_RECORD = record({
  form: choice(FORM_KINDS, "prism"),
  ...ownFields(),
  tilt: TILT,
  stand: TILT,
  lift,
  role: choice(SOLID_ROLES, "body"),
  /** How far a cutter reaches beyond itself at both ends, millimetres. */
  through: number("length", 0.5, { min: 0, step: 0.1 }),
});

/** A part's solid as a design holds it. */
export type SolidValue = StoredOf<typeof SOLID_RECORD.fields>;
/** A part's solid with numbers known. */
export type ResolvedSolid = ResolvedOf<typeof SOLID_RECORD.fields>;

/** What each number of a solid may be, and how it is shown. */
export const SOLID_FIELDS = SOLID_RECORD.fields;

function takes(form: FormDefinition, field: string): boolean {
  const isOwn = FORMS.some(({ fields }) => Object.hasOwn(fields, field));
  return !isOwn || Object.hasOwn(form.fields, field);
}

/** How a part is given height: what its form must have has to be there, and what only other forms take may be. */
export const SOLID: FieldInfo & FieldOf<ResolvedSolid, SolidValue> = {
  ...SOLID_RECORD,
  schema: () =>
    lazy((value: unknown) => {
      const form = formOf(isRecord(value) ? value.form : undefined);
      const optional = Object.fromEntries(
        Object.entries(SOLID_RECORD.fields).map(([name, field]) => [
          name,
          takes(form, name) ? field.schema() : looseSchema(name),
        ]),
      );
      return exactly({ ...optional, ...schemasOf(form.fields) });
    }),
  brief(stored) {
    const form = formOf(isRecord(stored) ? stored.form : undefined);
    const kept = SOLID_RECORD.brief(stored);
    // A depth is written even where it is as long as most, but not where the form has none.
    return isRecord(kept) ? Object.fromEntries(Object.entries(kept).filter(([name]) => takes(form, name))) : kept;
  },
};

/** What a field of another form may hold: what that form lets it, or nothing. */
function looseSchema(name: string) {
  return lazy((value: unknown) => {
    const field = FORMS.map(({ fields }): FieldTable => fields).find((fields) => Object.hasOwn(fields, name))?.[name];
    return value === undefined || !field ? mixed() : field.schema();
  });
}

/** A new solid of a form. */
export function solidOf(values: Readonly<Record<string, unknown>>): SolidValue {
  return SOLID_RECORD.complete(values);
}

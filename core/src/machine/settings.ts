import { mixed, ValidationError } from "yup";
import { designResolver } from "../design/resolve";
import { leavesOf } from "../fields/entries";
import type { FieldTable, ResolvedOf } from "../fields/field";
import type { record } from "../fields/record";
import type { SchemaContext } from "../fields/schemaPieces";
import { isRecord } from "../fields/stored";
import { scopeOf } from "../formula/numbers";
import type { Refusal } from "./device";

/** How a device reads its settings, and tells them from others. */
interface SettingsReader<S extends object> {
  /** Settings read from plain data; what is wrong with them in words. */
  readonly readSettings: (data: unknown) => { readonly settings: S } | Refusal;
  /** Whether settings are this device's own. */
  readonly isSettings: (settings: object) => settings is S;
}

/** The settings of a device by the table a design keeps them in. */
export function settingsBy<T extends FieldTable>(table: ReturnType<typeof record<T>>): SettingsReader<ResolvedOf<T>> {
  const schema = table.schema();
  return {
    readSettings(data) {
      const fault = faultIn(schema, data);
      if (fault !== null) return { refusal: fault };
      const resolver = designResolver(() => undefined);
      const settings = table.resolve(isRecord(data) ? data : {}, resolver, "settings");
      const [problem] = resolver.problems;
      return problem ? { refusal: `${problem.path}: ${problem.message}` } : { settings };
    },
    isSettings: (settings): settings is ResolvedOf<T> => Object.keys(table.fields).every((name) => name in settings),
  };
}

/** A device knows no design: nothing is named in its settings. */
const CONTEXT: SchemaContext = {
  scope: scopeOf(new Map()),
  brokenNumbers: new Set(),
  paletteNames: new Set(),
  motif: mixed(),
};

/** The first thing that is wrong with settings as they are given; null where they are right. */
function faultIn(schema: ReturnType<ReturnType<typeof record>["schema"]>, data: unknown): string | null {
  if (!isRecord(data)) return "settings: must be named values";
  try {
    schema.validateSync(data, { strict: true, abortEarly: false, disableStackTrace: true, context: CONTEXT });
    return null;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const [first] = leavesOf(error);
    return first ? `settings.${first.path}: ${first.message}` : error.message;
  }
}

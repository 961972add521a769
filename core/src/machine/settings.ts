import { designResolver } from "../design/resolve";
import type { FieldTable, ResolvedOf } from "../fields/field";
import type { record } from "../fields/record";
import { isRecord } from "../fields/stored";
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
  return {
    readSettings(data) {
      const resolver = designResolver(() => undefined);
      const settings = table.resolve(isRecord(data) ? data : {}, resolver, "settings");
      const [problem] = resolver.problems;
      return problem ? { refusal: `${problem.path}: ${problem.message}` } : { settings };
    },
    isSettings: (settings): settings is ResolvedOf<T> => Object.keys(table.fields).every((name) => name in settings),
  };
}

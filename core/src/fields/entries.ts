import { array, lazy, mixed, ValidationError, type ISchema, type TestContext } from "yup";
import type { Problem } from "../formula/problem";
import { isSchema } from "./schemaPieces";

/** Problems that are told one by one; once a list has so many, its other entries are not looked at. */
export const MOST_PROBLEMS = 200;

/**
 * The schema of a list with so many entries at most, each by its schema. Of a longer one none is looked at, and of one with very
 * many problems none after those: either could take for ever.
 */
export function entriesOf(
  most: number,
  entry: ISchema<unknown>,
  whole: (entries: Entries) => ISchema<unknown> = itself,
  /** Whether an entry is right beyond doubt, so that its schema need not be asked. */
  isRight: (entry: unknown) => boolean = () => false,
) {
  const tooMany = mixed().test("max", `must have at most ${most} entries`, () => false);
  const entries = whole(
    anyEntries().test("entries", function (given: unknown) {
      const errors = Array.isArray(given) ? errorsWithin(given, entry, isRight, this) : [];
      return errors.length === 0 || new ValidationError(errors, given, this.path);
    }),
  );
  return lazy((value: unknown) => (Array.isArray(value) && value.length > most ? tooMany : entries));
}

const anyEntries = () => array();
/** A list in the making of its schema. */
export type Entries = ReturnType<typeof anyEntries>;
const itself = (entries: Entries): ISchema<unknown> => entries;

function errorsWithin(
  entries: readonly unknown[],
  schema: ISchema<unknown>,
  isRight: (entry: unknown) => boolean,
  test: TestContext,
): ValidationError[] {
  const { context } = test.options;
  const errors: ValidationError[] = [];
  for (const [index, value] of entries.entries()) {
    if (isRight(value)) continue;
    const own = schema.resolve({ value, context });
    if (!isSchema(own)) throw new Error("an entry of a list has a schema of its own");
    try {
      own.validateSync(value, { strict: true, abortEarly: false, disableStackTrace: true, context });
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      for (const { path, message } of leavesOf(error)) {
        errors.push(test.createError({ path: `${test.path}[${index}]${beneath(path)}`, message }));
      }
    }
    if (errors.length >= MOST_PROBLEMS) break;
  }
  return errors;
}

/** How a path goes on from what it is in. */
function beneath(path: string): string {
  return path === "" || path.startsWith("[") ? path : `.${path}`;
}

/** Yup nests the errors of one test that reports several. */
export function leavesOf(error: ValidationError): Problem[] {
  if (error.inner.length > 0) return error.inner.flatMap(leavesOf);
  return [{ path: error.path ?? "", message: error.message }];
}

import { leavesOf, MOST_PROBLEMS } from "../fields/entries";
import { isNumberValue, isRecord } from "../fields/stored";
import { ValidationError } from "yup";
import { MOST_NUMBERS } from "../fields/most";
import { resolveNumbers, scopeOf, type NumberToResolve } from "../formula/numbers";
import { DESIGN, FORMAT, withDefaults, type Design } from "./design";
import type { Problem } from "../formula/problem";
import { resolveDesign } from "./resolve";
import { motifSchema } from "./motifField";
import { type SchemaContext } from "../fields/schemaPieces";

/** A design, or everything that is wrong with what was to be one. */
export type ReadResult =
  | { readonly design: Design; readonly problems: readonly [] }
  | { readonly design: null; readonly problems: readonly Problem[] };

/** Reads a design file's text. */
export function parseDesign(text: string): ReadResult {
  try {
    return readDesign(JSON.parse(text));
  } catch (error) {
    if (!(error instanceof SyntaxError)) throw error;
    return refuse([{ path: "", message: `is not a design file: it is no JSON (${error.message})` }]);
  }
}

/** Reads a design from plain data: validates it as a whole and puts the defaults in. */
export function readDesign(data: unknown): ReadResult {
  if (!isRecord(data) || typeof data.format !== "string" || !data.format.startsWith("twin-petal/")) {
    return refuse([{ path: "", message: `is not a design file: it does not say "format": "${FORMAT}"` }]);
  }
  if (isDeeperThan(data, DEEPEST)) {
    return refuse([{ path: "", message: `is nested more than ${DEEPEST} deep; no design needs that` }]);
  }
  const kinds = kindsWithin(data);
  if (kinds > MOST_KINDS) {
    const [many, most] = [kinds.toLocaleString("en"), MOST_KINDS.toLocaleString("en")];
    return refuse([
      {
        path: "",
        message: `holds ${many} motifs, rules and fills; at most ${most} are read: nest fewer in each other`,
      },
    ]);
  }
  const numbers = resolveNumbers(readableNumbers(data.numbers));
  const troubles = [...numbers.problems, ...troublesOf(data, numbers)];
  if (troubles.length > 0) return refuse(troubles);
  const design = withDefaults(data);
  const { problems } = resolveDesign(design);
  return problems.length > 0 ? refuse(problems) : { design, problems: [] };
}

const designSchema = DESIGN.schema();

/** Levels of objects and lists a file may have. */
const DEEPEST = 64;

/** Motifs, rules and fills a file may have, each within others too. */
const MOST_KINDS = 50_000;

function isDeeperThan(data: unknown, levels: number): boolean {
  if (typeof data !== "object" || data === null) return false;
  return levels === 0 || Object.values(data).some((entry) => isDeeperThan(entry, levels - 1));
}

/** How many things of a kind there are: motifs, rules and fills, those within others too. */
function kindsWithin(data: unknown): number {
  if (typeof data !== "object" || data === null) return 0;
  const own = isRecord(data) && typeof data.kind === "string" ? 1 : 0;
  return Object.values(data).reduce((sum: number, entry) => sum + kindsWithin(entry), own);
}

function refuse(problems: readonly Problem[]): ReadResult {
  const told = problems.slice(0, MOST_PROBLEMS);
  if (told.length === problems.length) return { design: null, problems };
  return { design: null, problems: [...told, { path: "", message: "has more problems than these" }] };
}

/** Entries that can be computed at all; the schema tells about the others. */
function readableNumbers(entries: unknown): NumberToResolve[] {
  if (!Array.isArray(entries)) return [];
  return entries.slice(0, MOST_NUMBERS).map((entry: unknown, index) => {
    const name = isRecord(entry) && typeof entry.name === "string" ? entry.name : `#${index}`;
    const value = isRecord(entry) && isNumberValue(entry.value) ? entry.value : 0;
    return { name, value };
  });
}

function troublesOf(data: unknown, numbers: ReturnType<typeof resolveNumbers>): Problem[] {
  const entries = isRecord(data) ? readableNumbers(data.numbers) : [];
  const context: SchemaContext = {
    scope: scopeOf(numbers.values),
    brokenNumbers: new Set(entries.map(({ name }) => name).filter((name) => !numbers.values.has(name))),
    paletteNames: paletteNamesOf(data),
    motif: motifSchema,
  };
  try {
    designSchema.validateSync(data, { strict: true, abortEarly: false, disableStackTrace: true, context });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return leavesOf(error);
  }
}

function paletteNamesOf(data: unknown): Set<string> {
  const palette = isRecord(data) && Array.isArray(data.palette) ? data.palette : [];
  return new Set(palette.flatMap((entry: unknown) => (isRecord(entry) ? [String(entry.name)] : [])));
}

import type { Scope } from "../formula/compile";
import { resolveNumbers, scopeOf } from "../formula/numbers";
import { MOST_COPIES, MOST_COPIES_IN_ALL } from "../fields/most";
import { resolvePlace } from "../fields/place";
import { Resolver } from "../fields/resolver";
import type { Motif } from "../fields/stored";
import { finishOf } from "../finish/finishFields";
import { facePainting } from "../finish/paint";
import { motifOf } from "../motif/list";
import type { PlacedMotif } from "../motif/placedMotif";
import type { ActiveRule } from "../rules/compose";
import { mostCopying } from "../rules/mostCopying";
import type { Design } from "./design";
import { groupProblems, groupsAround, membersOfGroups } from "./groups";
import { guide } from "./guides/list";
import { MAKING } from "./makingFields";
import { part, type Part } from "./partFields";
import type { ResolvedDesign, ResolvedPart } from "./resolved";
import { SHEET_FIELDS } from "./sheetFields";
import { checkUses } from "./uses";

/** Computes every number and formula of a design; what is wrong is told at its path. */
export function resolveDesign(design: Design): ResolvedDesign {
  const numbers = resolveNumbers(design.numbers);
  const palette = new Map(design.palette.map(({ name, color }) => [name, color]));
  const resolver = designResolver(scopeOf(numbers.values), palette);
  const { width, height, margin, ground, grain } = SHEET_FIELDS.resolve(design.sheet, resolver, "sheet");
  const sheet = { width, height, margin, ground: ground && facePainting(ground), grain };
  const making = MAKING.resolve(design.making, resolver, "making");
  const guides = design.guides.map((one, index) => guide.resolve(one, resolver, `guides[${index}]`));
  const groups = membersOfGroups(design);
  const parts = design.parts.map((one, index) => {
    const isTool = groupsAround(design, one.group).some(({ role }) => role === "tool");
    const path = `parts[${index}]`;
    return { ...resolvePart(one, designResolver(scopeOf(numbers.values), palette), path), groups, ...(isTool && TOOL) };
  });
  checkUses(parts);
  checkAllCopies(parts);
  const ownProblems = [...numbers.problems, ...groupProblems(design), ...resolver.problems];
  const problems = [...ownProblems, ...parts.flatMap((one) => one.problems)];
  return { sheet, making, guides, parts, numbers: numbers.values, ownProblems, problems };
}

/** What a part is by the group it is in. */
const TOOL = { role: "tool" } as const;

/** A resolver for a design's numbers, colours and motifs. */
export function designResolver(scope: Scope, palette: ReadonlyMap<string, string> = new Map()): Resolver {
  return new Resolver(scope, prepareMotif, palette);
}

function prepareMotif(stored: Motif, resolver: Resolver, path: string): PlacedMotif {
  const definition = motifOf(stored.kind);
  if (!definition) throw new Error(`a design with the unknown motif ${stored.kind} was let in`);
  return {
    motif: definition.prepare(stored, resolver, path),
    at: resolvePlace(stored.at, resolver, `${path}.at`),
  };
}

function resolvePart(stored: Part, resolver: Resolver, path: string): Omit<ResolvedPart, "groups"> {
  const { id, name, role, visible, oneEach, at, motif, standsBy, cutouts, rules, join, finish, solid, cut, stitch } =
    part.resolve(stored, resolver, path);
  const active = rules.flatMap(({ on, prepared }, number) => (on ? [{ number, prepared }] : []));
  checkCopies(active, resolver, path);
  return {
    id,
    name,
    role,
    ownRole: role,
    visible,
    motif: motif.motif,
    motifAt: motif.at,
    standsBy,
    cutouts,
    join,
    oneEach,
    rules: active,
    at,
    finish: finishOf(finish),
    solid,
    cut,
    stitch,
    blend: finish.blend,
    report: (field, message) => resolver.report(field === "" ? path : `${path}.${field}`, message),
    problems: resolver.problems,
  };
}

function checkCopies(rules: readonly ActiveRule[], resolver: Resolver, path: string): void {
  const copies = rules.reduce((product, { prepared }) => product * prepared.copies, 1);
  const driver = mostCopying(rules);
  if (copies <= MOST_COPIES || !driver) return;
  const [many, most] = [copies.toLocaleString("en"), MOST_COPIES.toLocaleString("en")];
  resolver.report(
    `${path}.${driver}`,
    `makes ${many} copies together with the other rules; a part has at most ${most}: lower a count`,
  );
}

/** All parts together have no more copies than can be painted; told at the part that has most. */
function checkAllCopies(parts: readonly ResolvedPart[]): void {
  const copiesOf = ({ rules }: ResolvedPart) => rules.reduce((product, { prepared }) => product * prepared.copies, 1);
  const all = parts.reduce((sum, own) => sum + copiesOf(own), 0);
  const [first, ...others] = parts;
  if (all <= MOST_COPIES_IN_ALL || !first) return;
  const largest = others.reduce((most, own) => (copiesOf(own) > copiesOf(most) ? own : most), first);
  const [many, most] = [all.toLocaleString("en"), MOST_COPIES_IN_ALL.toLocaleString("en")];
  largest.report(
    mostCopying(largest.rules) ?? "",
    `makes most of ${many} copies in all parts together; a design has at most ${most}: lower a count`,
  );
}

import { execFileSync } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { cpus } from "node:os";
import { format } from "oxfmt";
import type { Group } from "./group";
import { GROUPS } from "./groups";
import { ratioOf, type Row } from "./row";
import { cellsOf, HEADS } from "./table";

const JSON_FILE = "docs/measurements.json";
const PAGE_FILE = "docs/measurements.md";

/** A group as it was measured. */
interface Measured {
  /** The commit that was measured, short. */
  readonly commit: string;
  /** The day, as year-month-day. */
  readonly day: string;
  /** Cores and their make. */
  readonly machine: string;
  readonly rows: readonly (Row & { readonly ratio: number })[];
}

/** What stands, by the name of the group. */
export type Measurements = Readonly<Record<string, Measured>>;

const git = (...words: string[]) => execFileSync("git", words, { encoding: "utf8" }).trim();

/** What was measured last; nothing where nothing was. */
export function standing(): Measurements {
  try {
    const read: Measurements = JSON.parse(readFileSync(JSON_FILE, "utf8"));
    return read;
  } catch {
    return {};
  }
}

/** A group's rows as they are kept: on this machine, of the commit that is checked out. */
export function measuredNow(rows: readonly Row[]): Measured {
  const [core] = cpus();
  return {
    commit: git("rev-parse", "--short", "HEAD"),
    day: new Date().toISOString().slice(0, 10),
    machine: `${cpus().length} cores, ${core?.model ?? "unknown"}, Node ${process.versions.node}`,
    rows: rows.map((row) => ({ ...row, ratio: Number(ratioOf(row).toPrecision(4)) })),
  };
}

/** Keeps what was measured, and makes the page of it. */
export async function keep(measurements: Measurements): Promise<void> {
  writeFileSync(JSON_FILE, `${JSON.stringify(measurements, null, 2)}\n`);
  const sections = GROUPS.flatMap((group) => {
    const measured = measurements[group.name];
    return measured ? sectionOf(group, measured) : [];
  });
  const page = [INTRODUCTION, ...sections].join("\n\n");
  const { code } = await format(PAGE_FILE, page, { printWidth: 120 });
  writeFileSync(PAGE_FILE, code);
}

const INTRODUCTION = `# What was measured

Made by \`npm run bench\` from [measurements.json](measurements.json): on a shared machine without a graphics card, in Chromium's
headless shell; each row beside its yardstick from the same run, turn by turn.
\`npm run bench -- evaluation joins\` measures those groups alone, \`npm run bench -- --against\` measures what has changed since, and
says which rows are worse than what stands here.`;

function sectionOf({ name, about }: Group, { commit, day, machine, rows }: Measured): string {
  const table = [HEADS, HEADS.map(() => "---"), ...rows.map(cellsOf)].map((cells) => `| ${cells.join(" | ")} |`);
  return `## ${name}\n\n${about}\n\n${table.join("\n")}\n\nMeasured ${day} at ${commit}: ${machine}.`;
}

/** The groups whose folders have changed since they were measured. */
export function touched(measurements: Measurements): Group[] {
  return GROUPS.filter(({ name, folders }) => {
    const commit = measurements[name]?.commit;
    return commit === undefined || git("diff", "--name-only", commit, "--", ...folders) !== "";
  });
}

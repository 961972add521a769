/**
 * Lists the licences of everything the product ships or needs while it runs, in `docs/licences.md`: `npm run licences`. What is
 * installed is told by the lock file, so the list is the same on every machine. With `--check` it only compares.
 */
import { readFileSync, writeFileSync } from "node:fs";
import { fileURLToPath, pathToFileURL } from "node:url";
import { format } from "oxfmt";

const root = new URL("..", import.meta.url);
const file = fileURLToPath(new URL("docs/licences.md", root));

/** What the name of a package for one system ends with. */
const SYSTEMS = /-(android|darwin|freebsd|linux|linuxmusl|openharmony|wasm32|webcontainers|win32)\b.*$/;

/** Every package that is not there for building and testing alone: its name, versions, and licence. */
export function licences() {
  const { packages } = JSON.parse(readFileSync(new URL("package-lock.json", root), "utf8"));
  const found = new Map();
  for (const [path, entry] of Object.entries(packages)) {
    if (!path.startsWith("node_modules/") && !path.includes("/node_modules/")) continue;
    if (entry.dev || entry.link) continue;
    const whole = path.slice(path.lastIndexOf("node_modules/") + "node_modules/".length);
    // Of what is built for each system by itself only one is installed; they are told together.
    const name = entry.os || entry.cpu ? whole.replace(SYSTEMS, "-…") : whole;
    const licence = entry.license ?? licenceOf(path);
    const known = found.get(`${name} ${licence}`) ?? { name, licence, versions: new Set() };
    known.versions.add(entry.version);
    found.set(`${name} ${licence}`, known);
  }
  return [...found.values()].sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0));
}

/** Older packages tell it only in their own file, some as an object. */
function licenceOf(path) {
  try {
    const { license, licenses } = JSON.parse(readFileSync(new URL(`${path}/package.json`, root), "utf8"));
    const told = license ?? licenses?.[0] ?? "not told";
    return typeof told === "string" ? told : (told.type ?? "not told");
  } catch {
    return "not told";
  }
}

/** The page that lists them. */
export async function licencePage() {
  const own = licences();
  const isFont = ({ name }) => name.startsWith("@fontsource/");
  const table = (rows) => [
    "| package | version | licence |",
    "| --- | --- | --- |",
    ...rows.map(({ name, versions, licence }) => `| ${name} | ${[...versions].sort().join(", ")} | ${licence} |`),
  ];
  const text = [
    "# Licences",
    "",
    "What the product ships or needs while it runs, made by `npm run licences` from what is installed. The full texts lie with the packages, in `node_modules/`. A name that ends in … stands for the builds for each system, of which one is installed.",
    "",
    "## Fonts",
    "",
    ...table(own.filter(isFont)),
    "",
    "## Packages",
    "",
    ...table(own.filter((one) => !isFont(one))),
    "",
  ].join("\n");
  const { code } = await format("licences.md", text, { printWidth: 120 });
  return code;
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) {
  const page = await licencePage();
  if (!process.argv.includes("--check")) writeFileSync(file, page);
  else if (readFileSync(file, "utf8") !== page) {
    console.error("docs/licences.md is not what is installed: run `npm run licences`.");
    process.exit(1);
  }
}

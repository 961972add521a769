import { benchBrowser } from "./browser";
import { benchCuts } from "./cuts";
import { benchEvaluation } from "./evaluation";
import { benchJoins } from "./joins";
import { benchRules } from "./rules";
import { benchSolids } from "./solids";
import { benchStitches } from "./stitches";
import { printTable } from "./table";

const COUNTS = [1_000, 10_000, 100_000];

/** `npm run bench -- nodes` measures only that: evaluation, rules, joins, cuts, stitches, change, nodes, block, neighbours, solids, solidView, stitchOut, keeping or load. */
const [only] = process.argv.slice(2);
const evaluated = only === undefined || only === "evaluation" ? benchEvaluation(COUNTS) : [];
const ruled = only === undefined || only === "rules" ? benchRules() : [];
const joined = only === undefined || only === "joins" ? await benchJoins() : [];
const cut = only === undefined || only === "cuts" ? await benchCuts() : [];
const sewn = only === undefined || only === "stitches" ? await benchStitches() : [];
const stood = only === undefined || only === "solids" ? await benchSolids() : [];
printTable([...evaluated, ...ruled, ...joined, ...cut, ...sewn, ...stood, ...(await benchBrowser(COUNTS, only))]);

import { benchBrowser } from "./browser";
import { benchEvaluation } from "./evaluation";
import { benchJoins } from "./joins";
import { benchRules } from "./rules";
import { printTable } from "./table";

const COUNTS = [1_000, 10_000, 100_000];

/** `npm run bench -- nodes` measures only that: evaluation, rules, joins, change, nodes, block, neighbours or load. */
const [only] = process.argv.slice(2);
const evaluated = only === undefined || only === "evaluation" ? benchEvaluation(COUNTS) : [];
const ruled = only === undefined || only === "rules" ? benchRules() : [];
const joined = only === undefined || only === "joins" ? await benchJoins() : [];
printTable([...evaluated, ...ruled, ...joined, ...(await benchBrowser(COUNTS, only))]);

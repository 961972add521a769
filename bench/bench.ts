import { benchBrowser } from "./browser";
import { benchEvaluation } from "./evaluation";
import { benchRules } from "./rules";
import { printTable } from "./table";

const COUNTS = [1_000, 10_000, 100_000];

/** `npm run bench -- nodes` measures only that: evaluation, rules, change, nodes, block, neighbours or load. */
const [only] = process.argv.slice(2);
const evaluated = only === undefined || only === "evaluation" ? benchEvaluation(COUNTS) : [];
const ruled = only === undefined || only === "rules" ? benchRules() : [];
printTable([...evaluated, ...ruled, ...(await benchBrowser(COUNTS, only))]);

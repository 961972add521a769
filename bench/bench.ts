import { benchBrowser } from "./browser";
import { benchEvaluation } from "./evaluation";
import { printTable } from "./table";

const COUNTS = [1_000, 10_000, 100_000];

/** `npm run bench -- nodes` measures only that: evaluation, change, nodes, block or load. */
const [only] = process.argv.slice(2);
const evaluated = only === undefined || only === "evaluation" ? benchEvaluation(COUNTS) : [];
printTable([...evaluated, ...(await benchBrowser(COUNTS, only))]);

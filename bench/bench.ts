import { benchBrowser } from "./browser";
import { benchEvaluation } from "./evaluation";
import { printTable } from "./table";

const COUNTS = [1_000, 10_000, 100_000];

printTable([...benchEvaluation(COUNTS), ...(await benchBrowser(COUNTS))]);

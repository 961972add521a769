import type { Problem } from "@twin-petal/core";
import { joinDatabase } from "../db/database";
import { DesignStore } from "../db/designStore";
import { isFull } from "../db/trouble";
import { takeBack, type Choices, type TakenBack } from "../keep/takeBack";
import { ZipIn } from "../keep/zipIn";
import { Pools } from "../pools";
import { HttpProblem } from "../problem";
import { roomIn } from "../room";
import { readSettings } from "../settings";

/** What is to be brought: the zip's path, for which server, and what was chosen. */
export interface BringWork {
  readonly path: string;
  readonly server: string;
  readonly choices: Choices;
}

/** What the process tells. */
export type BringNews =
  | { readonly kind: "design"; readonly done: number; readonly of: number }
  | { readonly kind: "brought"; readonly outcome: TakenBack }
  | {
      readonly kind: "refused";
      readonly status: number;
      readonly detail: string;
      readonly problems: readonly Problem[];
    };

process.once("message", (work: BringWork) => {
  bring(work)
    .catch(refusalOf)
    .then((news) => tell(news))
    .finally(() => process.disconnect())
    .catch(() => process.exit(1));
});
// Whoever had it started has gone, or it is done.
process.on("disconnect", () => process.exit());

const tell = (news: BringNews) => new Promise<void>((sent) => process.send?.(news, () => sent()));

async function bring({ path, server, choices }: BringWork): Promise<BringNews> {
  const settings = readSettings(process.env);
  const { db } = await joinDatabase(settings);
  const zip = await ZipIn.open(path);
  const outcome = await takeBack({
    store: new DesignStore(db),
    pools: new Pools(0),
    zip,
    server,
    choices,
    room: () => (settings.databaseUrl === undefined ? roomIn(settings.dataFolder) : Promise.resolve(Infinity)),
    onDesign: (done, of) => process.send?.({ kind: "design", done, of } satisfies BringNews),
  });
  return { kind: "brought", outcome };
}

function refusalOf(error: unknown): BringNews {
  if (error instanceof HttpProblem)
    return { kind: "refused", status: error.status, detail: error.message, problems: error.problems ?? [] };
  if (isFull(error))
    return {
      kind: "refused",
      status: 507,
      detail: "There is no room left on the server's disk. What came whole is here.",
      problems: [],
    };
  throw error;
}

import { createWriteStream, existsSync } from "node:fs";
import { copyFile, rename, rm } from "node:fs/promises";
import { pipeline } from "node:stream/promises";
import { copyDatabase, databaseIn, openDatabase } from "./db/database";
import { DesignStore } from "./db/designStore";
import { beOnlyServer } from "./db/onlyServer";
import { keepAll } from "./keep/keepAll";
import { CHOICES, takeBack, type Choice } from "./keep/takeBack";
import { ZipIn } from "./keep/zipIn";
import { Pools } from "./pools";
import { HttpProblem } from "./problem";
import { roomIn } from "./room";
import { readSettings, SettingError, type Settings } from "./settings";

const USAGE = `npm run -s keep -- out.zip        every design with its takes, and the shelf
npm run -s keep -- out.db         a copy of the whole database, also while it is in use
npm run -s keep -- --back in.zip  brings back what such a zip holds; what is here otherwise stays, unless a third word
                                  says what becomes of it: file (the zip's, mine stays as an earlier save) or both
npm run -s keep -- --restore a.db sets the database aside and goes on with a copy of it`;

/** Ends the command with words on standard error. */
class Failure extends Error {}

async function main([first, second, third, ...rest]: readonly string[]): Promise<void> {
  if (first === undefined || rest.length > 0) throw new Failure(USAGE);
  if (third !== undefined && first !== "--back") throw new Failure(USAGE);
  const settings = readSettings(process.env);
  if (first === "--restore" && second !== undefined) return restore(settings.dataFolder, second);
  const { db, close } = await openDatabase(settings);
  try {
    const store = new DesignStore(db);
    if (first === "--back" && second !== undefined) {
      return await bringBack(store, second, third === undefined ? null : choiceIn(third), roomOn(settings));
    }
    if (second !== undefined) throw new Failure(USAGE);
    if (first.endsWith(".db")) return await wholeOrNot(first, (aside) => copyDatabase(db, aside));
    if (!first.endsWith(".zip")) throw new Failure(USAGE);
    await wholeOrNot(first, async (aside) => pipeline(await keepAll(store), createWriteStream(aside)));
  } finally {
    close();
  }
}

/** Writes beside the place and moves it there, so that nothing half-written is ever seen. */
async function wholeOrNot(path: string, write: (aside: string) => Promise<void>): Promise<void> {
  const aside = `${path}.${process.pid}.part`;
  try {
    await write(aside);
    await rename(aside, path);
  } catch (error) {
    await rm(aside, { force: true });
    throw new Failure(`${path} cannot be written: ${error instanceof Error ? error.message : String(error)}`);
  }
  process.stdout.write(`${path} is written\n`);
}

/** Puts a copy in the database's place, once no server works on it; what was there is set aside. */
async function restore(dataFolder: string, copy: string): Promise<void> {
  const letGo = await beOnlyServer(dataFolder);
  try {
    const path = databaseIn(dataFolder);
    const aside = `${path}.damaged-${Date.now()}`;
    await copyFile(copy, `${path}.part`);
    for (const ending of ["", "-wal", "-shm"]) {
      if (existsSync(path + ending)) await rename(path + ending, aside + ending);
    }
    await rename(`${path}.part`, path);
    process.stdout.write(`${copy} is the database now; what was there is ${aside}\n`);
  } finally {
    letGo();
  }
}

/** Bytes that may be brought; a database that is elsewhere has its own disk. */
const roomOn =
  ({ databaseUrl, dataFolder }: Settings) =>
  () =>
    databaseUrl === undefined ? roomIn(dataFolder) : Promise.resolve(Infinity);

function choiceIn(word: string): Choice {
  const choice = CHOICES.find((known) => known === word);
  if (choice) return choice;
  throw new Failure(USAGE);
}

async function bringBack(
  store: DesignStore,
  path: string,
  usual: Choice | null,
  room: () => Promise<number>,
): Promise<void> {
  const pools = new Pools(0);
  const server = `command ${process.pid}`;
  try {
    const zip = await ZipIn.open(path);
    const choices = { usual, of: new Map<string, Choice>() };
    const outcome = await takeBack({ store, pools, zip, server, choices, room, onDesign: () => undefined });
    const { designs, takes, there, pieces, differing, binned, refused } = outcome;
    process.stdout.write(
      `${designs} designs with ${takes} takes were brought, ${there} were there already, ${pieces} pieces put on the shelf\n`,
    );
    for (const { id, name } of differing) {
      process.stdout.write(
        `“${name}” (${id}) is here otherwise, and was left as it is: say “file” or “both” to bring it\n`,
      );
    }
    for (const { id, name } of binned) process.stdout.write(`“${name}” (${id}) lies in the bin here\n`);
    for (const { file, errors } of refused) {
      for (const { path: at, message } of errors)
        process.stderr.write(`${file}: ${at === "" ? "" : `${at} `}${message}\n`);
    }
    if (refused.length > 0) process.exitCode = 2;
  } finally {
    await store.arrivals.clear(server);
    await pools.close();
  }
}

main(process.argv.slice(2)).catch((error: unknown) => {
  if (
    !(
      error instanceof Failure ||
      error instanceof HttpProblem ||
      error instanceof SettingError ||
      (error instanceof Error && "code" in error)
    )
  )
    throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
});

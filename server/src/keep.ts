import { createReadStream, createWriteStream, existsSync } from "node:fs";
import { copyFile, rename, rm } from "node:fs/promises";
import { buffer } from "node:stream/consumers";
import { pipeline } from "node:stream/promises";
import { copyDatabase, databaseIn, openDatabase } from "./db/database";
import { DesignStore } from "./db/designStore";
import { beOnlyServer } from "./db/onlyServer";
import { keepAll } from "./keep/keepAll";
import { takeBack } from "./keep/takeBack";
import { Pools } from "./pools";
import { HttpProblem } from "./problem";
import { readSettings, SettingError } from "./settings";

const USAGE = `npm run -s keep -- out.zip        every design with its takes, and the shelf
npm run -s keep -- out.db         a copy of the whole database, also while it is in use
npm run -s keep -- --back in.zip  brings back what such a zip holds
npm run -s keep -- --restore a.db sets the database aside and goes on with a copy of it`;

/** Ends the command with words on standard error. */
class Failure extends Error {}

async function main([first, second, ...rest]: readonly string[]): Promise<void> {
  if (first === undefined || rest.length > 0) throw new Failure(USAGE);
  const settings = readSettings(process.env);
  if (first === "--restore" && second !== undefined) return restore(settings.dataFolder, second);
  const { db, close } = await openDatabase(settings);
  try {
    const store = new DesignStore(db);
    if (first === "--back" && second !== undefined) return await bringBack(store, second);
    if (second !== undefined) throw new Failure(USAGE);
    if (first.endsWith(".db")) return await wholeOrNot(first, (aside) => copyDatabase(db, aside));
    if (!first.endsWith(".zip")) throw new Failure(USAGE);
    await wholeOrNot(first, (aside) => pipeline(keepAll(store), createWriteStream(aside)));
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

async function bringBack(store: DesignStore, path: string): Promise<void> {
  const pools = new Pools();
  try {
    const zip = await buffer(createReadStream(path));
    const { designs, takes, there, pieces, refused } = await takeBack(store, pools, zip);
    process.stdout.write(
      `${designs} designs with ${takes} takes were brought, ${there} were there already, ${pieces} pieces put on the shelf\n`,
    );
    for (const { file, errors } of refused) {
      for (const { path: at, message } of errors)
        process.stderr.write(`${file}: ${at === "" ? "" : `${at} `}${message}\n`);
    }
    if (refused.length > 0) process.exitCode = 2;
  } finally {
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

import { fileURLToPath } from "node:url";

/** Where things are and how the server listens, from the environment. */
export interface Settings {
  readonly port: number;
  readonly host: string;
  /** Folder of the embedded database. */
  readonly dataFolder: string;
  /** A libSQL server in place of the embedded file. */
  readonly databaseUrl: string | undefined;
  readonly logLevel: string;
  /** Milliseconds a design rests after a save before the wall's picture of it is made. */
  readonly pictureRest: number;
  /** Names this machine may be called by beside its own. */
  readonly allowedHosts: readonly string[];
}

/** A setting that cannot be used, told in words. */
export class SettingError extends Error {}

/** The repository: bundles stand in server/dist and in folders of it. */
const REPOSITORY = new URL("../", import.meta.url.slice(0, import.meta.url.lastIndexOf("/dist/") + 1));

/** A path of the repository. */
export function inRepository(path: string): string {
  return fileURLToPath(new URL(path, REPOSITORY));
}

type Environment = Readonly<Record<string, string | undefined>>;

export function readSettings(environment: Environment): Settings {
  return {
    port: wholeNumber(environment, "PORT", 4310, 65_535),
    host: environment.HOST ?? "127.0.0.1",
    dataFolder: environment.TWIN_PETAL_DATA ?? inRepository("data"),
    databaseUrl: environment.DATABASE_URL,
    logLevel: environment.LOG_LEVEL ?? "warn",
    // A design being worked on is saved often.
    pictureRest: wholeNumber(environment, "PICTURE_REST", 4_000, 3_600_000),
    allowedHosts: (environment.ALLOWED_HOSTS ?? "").split(",").flatMap((name) => name.trim() || []),
  };
}

function wholeNumber(environment: Environment, name: string, usual: number, most: number): number {
  const given = environment[name];
  const value = Number(given ?? usual);
  if (Number.isInteger(value) && value >= 0 && value <= most) return value;
  throw new SettingError(`${name} is “${given ?? ""}”; it must be a whole number from 0 to ${most}`);
}

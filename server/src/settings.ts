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
  /** Names this machine may be called by beside its own. */
  readonly allowedHosts: readonly string[];
}

/** A setting that cannot be used, told in words. */
export class SettingError extends Error {}

/** A path of the repository, seen from the bundle in server/dist. */
export function inRepository(path: string): string {
  return fileURLToPath(new URL(`../../${path}`, import.meta.url));
}

export function readSettings(environment: Readonly<Record<string, string | undefined>>): Settings {
  const port = Number(environment.PORT ?? "4310");
  if (!Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new SettingError(`PORT is “${environment.PORT ?? ""}”; it must be a whole number from 0 to 65535`);
  }
  return {
    port,
    host: environment.HOST ?? "127.0.0.1",
    dataFolder: environment.TWIN_PETAL_DATA ?? inRepository("data"),
    databaseUrl: environment.DATABASE_URL,
    logLevel: environment.LOG_LEVEL ?? "warn",
    allowedHosts: (environment.ALLOWED_HOSTS ?? "").split(",").flatMap((name) => name.trim() || []),
  };
}

import { SettingError } from "../settings";
import { hasCode, isForbidden, isFull, wordsOf } from "./trouble";

/** Why a data folder, or a file in it, cannot be used, and what can be done about it. */
export function folderTrouble(path: string, error: unknown): SettingError {
  return error instanceof SettingError ? error : new SettingError(`${why(path, error)}\n${ANOTHER}`, { cause: error });
}

const ANOTHER = "Another folder can be chosen: TWIN_PETAL_DATA=… npm start";

function why(path: string, error: unknown): string {
  if (hasCode(error, "ENOTDIR", "EEXIST")) return `${path} is a file; designs are kept in a folder.`;
  if (isFull(error)) return `There is no room left on the disk of ${path}. Free some, and start again.`;
  if (isForbidden(error)) {
    return `${path} cannot be opened as what it should be: it is something else, or this account may not use it (${wordsOf(error)}).`;
  }
  return `${path} cannot be used: ${wordsOf(error)}.`;
}

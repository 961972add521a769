import { existsSync } from "node:fs";

/** Chromium without windows of its own: the same pages in three quarters of the time. */
export const HEADLESS = "/usr/bin/chromium-headless-shell";
export const CHROMIUM = "/usr/bin/chromium";

/** The browser that the tests and the measurements use: the quicker one where it is installed. */
export function browserPath() {
  return existsSync(HEADLESS) ? HEADLESS : CHROMIUM;
}

import { defineConfig } from "@playwright/test";
import { LAUNCH } from "./launch";

/** The built interface in a real browser, over a server with the demo data. */
export default defineConfig({
  testDir: ".",
  outputDir: "../test-results",
  // One more than cores: while one waits for an answer the others have work.
  workers: 3,
  forbidOnly: true,
  retries: 0,
  fullyParallel: true,
  timeout: 300_000,
  // On a machine that others keep busy everything takes several times as long; what never comes is told all the same.
  expect: { timeout: 60_000 },
  reporter: process.env.CI ? [["line"]] : [["list"]],
  use: {
    viewport: { width: 1280, height: 800 },
    screenshot: "only-on-failure",
    launchOptions: LAUNCH,
  },
});

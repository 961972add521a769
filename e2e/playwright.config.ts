import { defineConfig } from "@playwright/test";

/** The built interface in a real browser, over a server with the demo data. */
export default defineConfig({
  testDir: ".",
  outputDir: "../test-results",
  workers: 2,
  forbidOnly: true,
  retries: process.env.CI ? 1 : 0,
  fullyParallel: true,
  timeout: 90_000,
  expect: { timeout: 15_000 },
  reporter: process.env.CI ? [["line"]] : [["list"]],
  use: {
    viewport: { width: 1280, height: 800 },
    screenshot: "only-on-failure",
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
      ],
    },
  },
});
